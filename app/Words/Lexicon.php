<?php

declare(strict_types=1);

namespace App\Words;

/**
 * The words of one language: patterns in ICU message syntax by code, one JSON file a room under `lang/`. A room is read
 * when it is first asked for.
 */
final class Lexicon
{
    /** @var array<string, array<string, string>> patterns by room and code */
    private array $rooms = [];

    /** @param  string  $folder  of the files, without a slash at its end */
    public function __construct(public readonly string $locale, private readonly string $folder)
    {
    }

    /** @param  string  $code  "planning.mr04.common-on-hot"; null where this language has no words for it */
    public function pattern(string $code): ?string
    {
        [$room, $key] = [...explode('.', $code, 2), ''];

        return $this->room($room)[$key] ?? null;
    }

    /** @return array<string, string> */
    public function room(string $room): array
    {
        return $this->rooms[$room] ??= self::read("{$this->folder}/{$room}.json");
    }

    /** @return array<string, string> */
    private static function read(string $file): array
    {
        $words = is_file($file) ? json_decode((string) file_get_contents($file), true) : [];

        $read = [];
        foreach (is_array($words) ? $words : [] as $key => $pattern) {
            if (is_string($pattern)) {
                $read[(string) $key] = $pattern;
            }
        }

        return $read;
    }
}
