<?php

declare(strict_types=1);

namespace Unionbit\Core\Data;

use Unionbit\Core\Words\Message;

/** Decodes JSON that comes from outside: bounded in depth and in parts, every number finite, every text one. */
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
            throw InvalidData::unreadable('', Message::of('data.json.no-json', problem: $problem->getMessage()));
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
                Message::of('data.json.holds-more-than-values-job', most_parts: self::MOST_PARTS),
            );
        }
        if (is_float($value) && ! is_finite($value)) {
            throw InvalidData::unreadable($pointer, Message::of('data.json.no-number-can-be-kept'));
        }
        if (is_string($value) && ! Plain::isText($value)) {
            throw InvalidData::unreadable($pointer, Message::of('data.json.no-text'));
        }
        foreach (is_array($value) ? $value : [] as $key => $part) {
            if (! Plain::isLine((string) $key)) {
                throw InvalidData::unreadable($pointer, Message::of('data.json.no-text'));
            }
            self::walk($part, $pointer.'/'.$key, $parts);
        }
    }
}
