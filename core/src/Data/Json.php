<?php

declare(strict_types=1);

namespace Unionbit\Core\Data;

/** Decodes JSON that comes from outside: bounded in depth and in parts, every number finite. */
final class Json
{
    private const DEEPEST = 24;

    /** Values of a document altogether: ten times what the largest job file holds. */
    private const MOST_PARTS = 200_000;

    /** @throws InvalidData naming the place of a number that is none ("1e999"), or why it cannot be read at all */
    public static function decode(string $text): mixed
    {
        try {
            $value = json_decode($text, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException $problem) {
            throw InvalidData::unreadable('', "is no JSON: {$problem->getMessage()}");
        }
        $parts = 0;
        self::walk($value, '', $parts);

        return $value;
    }

    private static function walk(mixed $value, string $pointer, int &$parts): void
    {
        if (++$parts > self::MOST_PARTS) {
            throw InvalidData::unreadable(
                '',
                'holds more than '.self::MOST_PARTS.' values; a job file is one house',
            );
        }
        if (is_float($value) && ! is_finite($value)) {
            throw InvalidData::unreadable($pointer, 'is no number that can be kept');
        }
        foreach (is_array($value) ? $value : [] as $key => $part) {
            self::walk($part, $pointer.'/'.$key, $parts);
        }
    }
}
