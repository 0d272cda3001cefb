<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;

/** Parts of a unit as its file has them: `when` says whether one is there, `$name` stands for a word or a number. */
final class Template
{
    /**
     * @param  array<string, list<mixed>>  $names  entries `is` with `when`, by name
     * @param  array<string, string>  $facts
     * @return array<string, mixed> the first that holds of each
     */
    public static function names(array $names, array $facts): array
    {
        $said = [];
        foreach ($names as $name => $entries) {
            foreach ($entries as $entry) {
                if (is_array($entry) && self::holds($entry, $facts)) {
                    $said[$name] = self::word($entry['is'] ?? null, $facts);
                    break;
                }
            }
        }

        return $said;
    }

    /**
     * @param  array<string, string>  $facts
     * @param  array<string, mixed>  $words
     */
    public static function fill(mixed $part, array $facts, array $words): mixed
    {
        if (! is_array($part)) {
            return self::word($part, $words);
        }
        $filled = [];
        foreach ($part as $key => $value) {
            if ($key !== 'when' && (! is_array($value) || self::holds($value, $facts))) {
                $filled[$key] = self::fill($value, $facts, $words);
            }
        }

        return array_is_list($part) ? array_values($filled) : $filled;
    }

    /** @param  array<string, mixed>  $words */
    private static function word(mixed $value, array $words): mixed
    {
        return is_string($value) && $value !== '' && $value[0] === '$' && strlen($value) > 1
            ? $words[substr($value, 1)] ?? $value
            : $value;
    }

    /**
     * @param  array<mixed>  $part
     * @param  array<string, string>  $facts
     */
    private static function holds(array $part, array $facts): bool
    {
        return Condition::read(Field::root($part), 'when')->holds($facts);
    }
}
