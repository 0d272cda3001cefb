<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Closure;
use Unionbit\Core\Job\Installation;

/** In which houses a question is asked: by what was answered before. */
final class Asked
{
    /** @return Closure(Installation): bool */
    public static function where(string $key, string ...$values): Closure
    {
        return static fn (Installation $house): bool => $house->answers->is($key, ...$values);
    }

    /** @return Closure(Installation): bool */
    public static function withOutdoorUnit(): Closure
    {
        return self::where('outdoor', 'cools', 'reverses');
    }
}
