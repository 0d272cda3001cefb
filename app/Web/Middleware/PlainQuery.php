<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Words\Words;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Unionbit\Core\Words\Message;

/**
 * Every query of ours is words and numbers: a list or a map in the address is refused before anything takes it for
 * text.
 */
final class PlainQuery
{
    private const LONGEST = 2000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ($request->query->all() as $key => $value) {
            $name = mb_substr((string) $key, 0, 40);
            if ($value === null) {
                continue;
            }
            if (! is_string($value)) {
                abort(400, Words::say(Message::of('web.query.list', name: $name)));
            }
            $fits = mb_strlen($value) <= self::LONGEST && mb_check_encoding($value, 'UTF-8');
            abort_unless($fits, 400, Words::say(Message::of('web.query.long', name: $name, most: self::LONGEST)));
        }

        return $next($request);
    }
}
