<?php

declare(strict_types=1);

namespace App\Web;

/** A number as people type it: with a comma or a point between, thousands together. */
final class Decimal
{
    /** "26,4" as "26.4"; whatever is no number of that form stays as it is, for its own rule to refuse. */
    public static function plain(mixed $typed): mixed
    {
        return is_string($typed) && preg_match('/^\s*[-−]?\d+,\d+\s*$/u', $typed) === 1
            ? str_replace([',', '−'], ['.', '-'], trim($typed))
            : $typed;
    }

    /**
     * @param  array<mixed>  $typed
     * @return array<mixed>
     */
    public static function each(array $typed): array
    {
        return array_map(self::plain(...), $typed);
    }
}
