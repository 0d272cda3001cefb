<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * With UNIONBIT_SOLO=1 the demo installer is signed in without a password. It is refused unless the server is
 * bound to the loopback address and the request comes from there.
 */
final class SignInSolo
{
    public function handle(Request $request, Closure $next): Response
    {
        if (! config()->boolean('unionbit.solo')) {
            return $next($request);
        }
        foreach (['SERVER_NAME', 'REMOTE_ADDR'] as $end) {
            $address = $request->server($end);
            abort_unless(is_string($address) && self::isLoopback($address), 403, 'Solo mode works on the loopback address only.');
        }
        if (Auth::guest()) {
            $user = User::query()->orderBy('id')->first();
            abort_if($user === null, 403, 'Solo mode needs the demo data.');
            Auth::login($user);
        }

        return $next($request);
    }

    private static function isLoopback(string $address): bool
    {
        return $address === 'localhost' || $address === '::1' || $address === '[::1]' || preg_match('/^127(\.\d{1,3}){3}$/', $address) === 1;
    }
}
