<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\Response;

/** Lets the browser tests pass the minutes of a compressor delay: only ever in the environment "e2e". */
final class MovedClock
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (app()->environment('e2e')) {
            $file = storage_path('framework/'.config()->string('unionbit.clock'));
            $seconds = is_file($file) ? (int) file_get_contents($file) : 0;
            Carbon::setTestNow();
            Carbon::setTestNow($seconds === 0 ? null : Carbon::now()->addSeconds($seconds));
        }

        return $next($request);
    }
}
