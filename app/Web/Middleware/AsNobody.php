<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Web\PersonsDay;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Whoever follows a link to a house is nobody here, even one of the crew: no session is looked for, none begun. */
final class AsNobody
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ($request->cookies->keys() as $name) {
            if ($name !== PersonsDay::COOKIE) {
                $request->cookies->remove($name);
            }
        }

        return $next($request);
    }
}
