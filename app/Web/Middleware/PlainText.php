<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Words\Words;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/** What is written is text: no sign of number 0, and nothing that is no UTF-8, which not every database holds. */
final class PlainText
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $body = $request->isJson() ? $request->json()->all() : $request->request->all();
        array_walk_recursive($body, static function (mixed $value, int|string $key): void {
            if (is_string($value) && (str_contains($value, "\0") || ! mb_check_encoding($value, 'UTF-8'))) {
                $name = mb_substr(mb_scrub((string) $key), 0, 40);
                throw ValidationException::withMessages([$name => Words::of('web.plain-text', name: $name)]);
            }
        });

        return $next($request);
    }
}
