<?php

declare(strict_types=1);

// For PHP's own server (bin/demo, the browser tests): files of public/ with the headers that a web server would give
// them, everything else to the application.
$public = dirname(__DIR__).'/public';
$path = rawurldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH));
$file = realpath($public.$path);
$types = [
    'js' => 'text/javascript; charset=utf-8',
    'css' => 'text/css; charset=utf-8',
    'svg' => 'image/svg+xml',
    'json' => 'application/json',
    'woff2' => 'font/woff2',
    'woff' => 'font/woff',
    'png' => 'image/png',
    'webmanifest' => 'application/manifest+json',
];
$type = $file === false ? null : ($types[pathinfo($file, PATHINFO_EXTENSION)] ?? null);
header_remove('X-Powered-By');
if (getenv('E2E_MARK') !== false) {
    // Tests know their own server by it: another one on the same port would be somebody's data.
    header('X-E2E-Mark: '.getenv('E2E_MARK'));
}
if ($file !== false && $type !== null && is_file($file) && str_starts_with($file, $public.'/')) {
    header("Content-Type: {$type}");
    header('X-Content-Type-Options: nosniff');
    header('Referrer-Policy: same-origin');
    header('Cross-Origin-Resource-Policy: same-origin');
    header("Content-Security-Policy: default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'");
    header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
    header('Content-Length: '.filesize($file));
    readfile($file);

    return;
}
$_SERVER['SCRIPT_FILENAME'] = $public.'/index.php';
$_SERVER['SCRIPT_NAME'] = '/index.php';
require $public.'/index.php';
