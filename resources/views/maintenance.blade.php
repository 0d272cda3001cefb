<!doctype html>
<html lang="{{ str_replace('_', '-', app()->getLocale()) }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <meta http-equiv="refresh" content="20">
    <title>Unionbit</title>
    <style>
        body { margin: 0; min-height: 100vh; display: grid; place-items: center; font: 16px/24px sans-serif; }
        body { background: #f4f0e8; color: #1c2322; }
        main { max-width: 420px; margin: 20px; padding: 28px; background: #fcfaf5; border-top: 6px solid #a8531d; }
        h1 { margin: 0 0 8px; font-size: 26px; line-height: 30px; }
        p { margin: 0; }
        @media (prefers-color-scheme: dark) {
            body { background: #0f1413; color: #e9e4d8; }
            main { background: #18201e; }
        }
    </style>
</head>
<body>
    <main>
        <h1>{{ $title }}</h1>
        <p>{{ $says }}</p>
    </main>
</body>
</html>
