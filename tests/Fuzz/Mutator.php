<?php

declare(strict_types=1);

namespace Tests\Fuzz;

/** Bends good data, always the same way for the same seed: field by field through all that is wrong, or at random. */
final class Mutator
{
    private const WORDS = [
        'wall',
        'indoor',
        'R',
        'C',
        'Y1',
        'A',
        'V',
        'live',
        'landed',
        'spare',
        'seen',
        'fan.voltage',
        'red',
        '../../etc/passwd',
        '<script>alert(1)</script>',
        "'; drop table jobs; --",
        '=1+1',
        '%00',
        '${7*7}',
    ];

    /** Stands for a number that JSON can write and no machine can hold. */
    private const INFINITE = '@1e999@';

    /** Ways in which a value can be wrong. */
    private const WRONGS = 14;

    public function __construct(private readonly int $seed)
    {
        mt_srand($seed);
    }

    /**
     * A document as text, with one field of it wrong in one way: the n-th of all fields in all ways, however many rows
     * there are of each.
     */
    public function swept(mixed $document, int $n): string
    {
        $fields = $this->fields($document);
        // A stride through them all, so that any number of files meets every part of the document.
        $n = (int) fmod($n * 7919.0, $this->wrongs($document));
        $same = array_values($fields)[intdiv($n, self::WRONGS)];

        return self::json(
            $this->with(
                $document,
                $same[mt_rand(0, count($same) - 1)],
                fn (mixed $old): mixed => $this->wrong($old, $n % self::WRONGS),
            ),
        );
    }

    /** How many single things can be wrong with a document. */
    public function wrongs(mixed $document): int
    {
        return count($this->fields($document)) * self::WRONGS;
    }

    /** A document as text: most are JSON bent inside, some are bent as bytes. */
    public function text(mixed $document): string
    {
        $how = mt_rand(0, 99);
        $json = self::json($how < 4 ? $document : $this->bent($document));

        return match (true) {
            $how < 2 => substr($json, 0, mt_rand(0, strlen($json))),
            $how < 4 => substr_replace($json, chr(mt_rand(0, 255)), mt_rand(0, strlen($json) - 1), 1),
            $how < 8 => (string) preg_replace(
                '/:\s*-?\d+(\.\d+)?/',
                ': '.['-1e999', '1e308', '-0', '99999999999999999999', '0.1e-400'][mt_rand(0, 4)],
                $json,
                mt_rand(1, 3),
            ),
            $how < 10 => str_repeat('[', 600).$json,
            default => $json,
        };
    }

    /** The same with one to four fields wrong, or another good value in the place of one. */
    public function bent(mixed $document): mixed
    {
        for ($n = mt_rand(0, 3) > 0 ? 1 : mt_rand(2, 4); $n > 0; $n--) {
            $fields = array_values($this->fields($document));
            if ($fields === []) {
                return $this->wrong($document, mt_rand(0, self::WRONGS - 1));
            }
            $same = $fields[mt_rand(0, count($fields) - 1)];
            $other = $this->at($document, $same[mt_rand(0, count($same) - 1)]);
            $document = $this->with(
                $document,
                $same[mt_rand(0, count($same) - 1)],
                fn (mixed $old): mixed => mt_rand(0, 2) === 0
                    ? (is_int($old) || is_float($old)
                        ? $old * [0, 0.5, 2, 10][mt_rand(0, 3)]
                        : $other)
                    : $this->wrong($old, mt_rand(0, self::WRONGS - 1)),
            );
        }

        return $document;
    }

    private static function json(mixed $document): string
    {
        $json = (string) json_encode($document, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);

        return str_replace('"'.self::INFINITE.'"', '1e999', $json);
    }

    private function wrong(mixed $old, int $how): mixed
    {
        $large = is_array($old) && count($old, COUNT_RECURSIVE) > 40;

        return match ($how) {
            0 => null,
            1 => [],
            2 => ['x' => ['y' => ['z' => 1]]],
            3 => '',
            4 => str_repeat('x', 6000),
            5 => self::INFINITE,
            6 => 1.0e308,
            7 => PHP_INT_MIN,
            8 => ! is_bool($old),
            9 => "\u{0}\u{202e}\u{1F525}",
            10 => array_fill(0, 900, $large ? 'x' : $old),
            11 => is_array($old) && array_is_list($old) && ! $large && $old !== []
                ? array_merge(...array_fill(0, 120, $old))
                : [$old],
            12 => is_string($old) ? 7 : '2099-13-45T99:99:99Z',
            default => self::WORDS[mt_rand(0, count(self::WORDS) - 1)].(mt_rand(0, 1) === 0 ? '' : $this->seed),
        };
    }

    /** @return array<string, non-empty-list<list<int|string>>> places by field: the path with its numbers taken out */
    private function fields(mixed $document): array
    {
        $fields = [];
        $this->gather($document, [], $fields);

        return $fields;
    }

    /**
     * @param  list<int|string>  $path
     * @param  array<string, non-empty-list<list<int|string>>>  $fields
     */
    private function gather(mixed $value, array $path, array &$fields): void
    {
        if ($path !== []) {
            $fields[
                implode('/', array_map(static fn (int|string $key): string => is_int($key) ? '*' : $key, $path))
            ][] = $path;
        }
        foreach (is_array($value) ? $value : [] as $key => $part) {
            $this->gather($part, [...$path, $key], $fields);
        }
    }

    /** @param  list<int|string>  $path */
    private function at(mixed $document, array $path): mixed
    {
        return array_reduce(
            $path,
            static fn (mixed $at, int|string $key): mixed => is_array($at) ? $at[$key] ?? null : null,
            $document,
        );
    }

    /**
     * @param  list<int|string>  $path
     * @param  callable(mixed): mixed  $change
     */
    private function with(mixed $document, array $path, callable $change): mixed
    {
        if ($path === []) {
            return $change($document);
        }
        $key = array_shift($path);
        $document = is_array($document) ? $document : [];
        $document[$key] = $this->with($document[$key] ?? null, $path, $change);

        return $document;
    }
}
