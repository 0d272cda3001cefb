<!doctype html>
@php($likes = $page['props']['user']['preferences'] ?? null)
<html lang="{{ str_replace('_', '-', app()->getLocale()) }}" data-hand="{{ $likes['hand'] ?? 'right' }}"
    @if (! in_array($likes['theme'] ?? 'device', ['device'], true)) data-theme="{{ $likes['theme'] }}" @endif>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
    <meta name="color-scheme" content="light dark">
    <title inertia>Unionbit</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    <meta name="style-nonce" content="{{ \Illuminate\Support\Facades\Vite::cspNonce() }}">
    <script src="/theme.js"></script>
    @viteReactRefresh
    @vite(['resources/css/app.css', 'resources/js/app.tsx'])
    @inertiaHead
</head>
<body>
    @inertia
</body>
</html>
