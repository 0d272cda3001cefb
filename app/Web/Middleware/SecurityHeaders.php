<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a browser may do with an answer: scripts and styles of ours only, in no frame, nothing sniffed, no address told
 * elsewhere; over TLS the browser is to come by TLS only. No script of a page stands in the page itself.
 */
final class SecurityHeaders
{
    private const A_YEAR = 31_536_000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        $drawing = str_starts_with((string) $response->headers->get('Content-Type'), 'image/svg+xml');
        foreach (
            [
                'Content-Security-Policy' => $drawing ? self::drawing() : self::page($nonce),
                // What stands in the address of a link opens something: it is told to nobody, not even to ourselves.
                'Referrer-Policy' => $request->is('door/*', 'shared/*') ? 'no-referrer' : 'same-origin',
                'X-Content-Type-Options' => 'nosniff',
                'X-Frame-Options' => 'DENY',
                'Cross-Origin-Opener-Policy' => 'same-origin',
                'Cross-Origin-Resource-Policy' => 'same-origin',
                'Permissions-Policy' => 'camera=(self), geolocation=(), microphone=(), payment=(), usb=()',
            ] as $name => $value
        ) {
            $response->headers->set($name, $value);
        }
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age='.self::A_YEAR);
        }
        if (! headers_sent()) {
            header_remove('X-Powered-By');
        }
        $response->headers->remove('X-Powered-By');

        return $response;
    }

    /** Styles that a script sets up at run time (the scroll lock of a dialog) carry the page's nonce. */
    private static function page(string $nonce): string
    {
        return implode('; ', [
            "default-src 'self'",
            "script-src 'self'",
            "style-src 'self' 'nonce-{$nonce}'",
            "img-src 'self' data: blob:",
            "font-src 'self'",
            "connect-src 'self'",
            "object-src 'none'",
            "base-uri 'self'",
            "form-action 'self'",
            "frame-ancestors 'none'",
        ]);
    }

    /** A drawing opened by itself: its own styles, and nothing else. */
    private static function drawing(): string
    {
        return "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'";
    }
}
