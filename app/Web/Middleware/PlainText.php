<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Words\Words;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;
use Unionbit\Core\Data\Plain;

/** What is written is text, and of one line but for answers that are more; so is every name that it is sent under. */
final class PlainText
{
    /** Fields of more than one line. */
    private const LINES = ['value', 'csv'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        self::look($request->isJson() ? $request->json()->all() : $request->request->all());

        return $next($request);
    }

    /**
     * @param  array<mixed>  $sent
     *
     * @throws ValidationException naming the field
     */
    private static function look(array $sent): void
    {
        foreach ($sent as $key => $value) {
            $lines = in_array($key, self::LINES, true);
            $fits = ! is_string($value) || ($lines ? Plain::isText($value) : Plain::isLine($value));
            if (! $fits || ! Plain::isLine((string) $key)) {
                $name = (string) preg_replace('/[^\w.-]+/', '', mb_substr(mb_scrub((string) $key), 0, 40));
                throw ValidationException::withMessages([$name => Words::of('web.plain-text', name: $name)]);
            }
            if (is_array($value)) {
                self::look($value);
            }
        }
    }
}
