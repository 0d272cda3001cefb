<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Models\Crew\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Whoever was deactivated meanwhile is out, and so is whoever gave their password too long ago; everybody else is
 * answered in their own language.
 */
final class StillOfCrew
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && ! $user->isActive()) {
            Auth::guard('web')->logout();
            $request->session()->invalidate();
        } elseif ($user instanceof User && ($since = StaySignedIn::since($request, $user)) === null) {
            StaySignedIn::end($request);
        } elseif ($user instanceof User && Auth::guard('web')->viaRemember() && $user->hasSecondFactor()) {
            $asks = SessionController::askForCode($request, $user, true, $since);
            if (! $request->is('sign-in/code')) {
                return $request->expectsJson() ? throw new AuthenticationException() : $asks;
            }
        } elseif ($user instanceof User) {
            app()->setLocale($user->preferences()->language ?? config()->string('app.locale'));
        }

        return $next($request);
    }
}
