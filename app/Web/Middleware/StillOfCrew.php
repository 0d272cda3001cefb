<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whoever was deactivated meanwhile is out; everybody else is answered in their own language. */
final class StillOfCrew
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && ! $user->isActive()) {
            Auth::guard('web')->logout();
            $request->session()->invalidate();
        } elseif ($user instanceof User) {
            app()->setLocale($user->preferences()->language ?? config()->string('app.locale'));
        }

        return $next($request);
    }
}
