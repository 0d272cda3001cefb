<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Models\Crew\User;
use App\Words\Words;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * With UNIONBIT_SOLO=1 the demo installer is signed in without a password. It is refused unless the server is
 * bound to the loopback address, the request comes from there, and it asks for this machine by a name of its own.
 */
final class SignInSolo
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! config()->boolean('unionbit.solo')) {
            return $next($request);
        }
        foreach (['SERVER_NAME', 'REMOTE_ADDR'] as $end) {
            $address = $request->server($end);
            abort_unless(is_string($address) && self::isLoopback($address), 403, Words::of('web.solo.loopback'));
        }
        // A page of another site can make a name of its own point here: only the names of this machine itself are
        // answered.
        abort_unless(self::isLoopback($request->getHost()), 403, Words::of('web.solo.names'));
        if (Auth::guest()) {
            $user = User::query()->whereNull('deactivated_at')->orderBy('id')->first();
            abort_if($user === null, 403, Words::of('web.solo.demo'));
            Auth::login($user);
        }

        return $next($request);
    }

    private static function isLoopback(string $address): bool
    {
        return $address === 'localhost' ||
            $address === '::1' ||
            $address === '[::1]' ||
            preg_match('/^127(\.\d{1,3}){3}$/', $address) === 1;
    }
}
