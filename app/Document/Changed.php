<?php

declare(strict_types=1);

namespace App\Document;

/** What is not the same in two documents, by its path: "survey/cables/A/conductors/3/far". */
final class Changed
{
    /** By which of its fields a thing in a list is known: its place in the list says nothing. */
    private const KNOWN_BY = ['id', 'number'];

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return list<string>
     */
    public static function between(array $before, array $after): array
    {
        return self::under('', self::plain($before), self::plain($after));
    }

    /**
     * @param  list<string>  $some
     * @param  list<string>  $others
     */
    public static function touch(array $some, array $others): bool
    {
        return array_any(
            $some,
            static fn (string $one): bool => array_any(
                $others,
                static fn (string $other): bool => $one === $other ||
                    str_starts_with($one, "{$other}/") ||
                    str_starts_with($other, "{$one}/"),
            ),
        );
    }

    /** @return list<string> */
    private static function under(string $path, mixed $before, mixed $after): array
    {
        if ($before === $after) {
            return [];
        }
        $was = self::parts($before);
        $is = self::parts($after);
        if ($was === null || $is === null) {
            return [$path];
        }
        $changed = [];
        foreach (array_keys($was + $is) as $key) {
            $here = $path === '' ? (string) $key : "{$path}/{$key}";
            array_push($changed, ...self::under($here, $was[$key] ?? null, $is[$key] ?? null));
        }

        return $changed;
    }

    /** @return ?array<array-key, mixed> by what each is known by; null for what is one whole */
    private static function parts(mixed $value): ?array
    {
        if (! is_array($value) || $value === [] || ! array_is_list($value)) {
            return is_array($value) ? $value : null;
        }
        foreach (self::KNOWN_BY as $field) {
            $parts = [];
            foreach ($value as $part) {
                $name = is_array($part) ? $part[$field] ?? null : null;
                if (is_string($name) || is_int($name)) {
                    $parts[$name] = $part;
                }
            }
            if (count($parts) === count($value)) {
                return $parts;
            }
        }

        return null;
    }

    /** As it is kept: 30 and 30.0 are one figure. */
    private static function plain(mixed $document): mixed
    {
        return json_decode(json_encode($document, JSON_THROW_ON_ERROR), true, flags: JSON_THROW_ON_ERROR);
    }
}
