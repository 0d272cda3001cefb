<?php

declare(strict_types=1);

namespace Tests\Fuzz;

/** Bends good data in one to four places, always the same way for the same seed. */
final class Mutator
{
    private const WORDS = ['wall', 'indoor', 'R', 'C', 'Y1', 'A', 'V', 'live', 'landed', 'spare', 'seen', 'fan.voltage', 'red', '../../etc/passwd', '<script>alert(1)</script>', "'; drop table jobs; --", '=1+1', '%00', '${7*7}'];

    public function __construct(private readonly int $seed)
    {
        mt_srand($seed);
    }

    /** A document as text: most are JSON bent inside, some are bent as bytes. */
    public function text(mixed $document): string
    {
        $how = mt_rand(0, 99);
        $json = (string) json_encode($how < 4 ? $document : $this->bent($document), JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);

        return match (true) {
            $how < 2 => substr($json, 0, mt_rand(0, strlen($json))),
            $how < 4 => substr_replace($json, chr(mt_rand(0, 255)), mt_rand(0, strlen($json) - 1), 1),
            $how < 8 => (string) preg_replace('/:\s*-?\d+(\.\d+)?/', ': '.['1e999', '-1e999', '1e308', '-0', '99999999999999999999', '0.1e-400'][mt_rand(0, 5)], $json, mt_rand(1, 3)),
            $how < 10 => str_repeat('[', 600).$json,
            default => $json,
        };
    }

    /** The same with one to four places of it replaced, dropped, doubled, swapped or filled. */
    public function bent(mixed $document): mixed
    {
        for ($n = mt_rand(0, 1) === 0 ? 1 : mt_rand(2, 4); $n > 0; $n--) {
            $document = $this->bendOnce($document, 0);
        }

        return $document;
    }

    private function bendOnce(mixed $value, int $depth): mixed
    {
        if (! is_array($value) || $value === [] || ($depth > 0 && mt_rand(0, 5) === 0)) {
            return $this->other($value);
        }
        $keys = array_keys($value);
        $key = $keys[mt_rand(0, count($keys) - 1)];
        switch (mt_rand(0, 13)) {
            case 0:
                unset($value[$key]);

                return $value;
            case 1:
                return [...$value, $this->junk() => $value[$key]];
            case 2:
                return array_is_list($value) ? array_merge(...array_fill(0, mt_rand(2, 120), $value)) : $value;
            case 3:
                $value[$key] = $value[$keys[mt_rand(0, count($keys) - 1)]];

                return $value;
            default:
                $value[$key] = $this->bendOnce($value[$key], $depth + 1);

                return $value;
        }
    }

    private function other(mixed $old): mixed
    {
        return match (mt_rand(0, 17)) {
            0 => null,
            1 => [],
            2 => ['x' => ['y' => ['z' => 1]]],
            3 => '',
            4 => str_repeat('x', mt_rand(1, 6000)),
            5 => -1,
            6 => 1.0e308,
            7 => PHP_INT_MAX,
            8 => mt_rand(-1000, 1000) / 7,
            9 => true,
            10 => false,
            11 => "\u{0}\u{202e}\u{1F525}",
            12 => array_fill(0, mt_rand(1, 400), $old),
            13 => is_string($old) ? strrev($old) : 0,
            14 => [$old],
            15 => "2026-13-45T99:99:99Z",
            default => self::WORDS[mt_rand(0, count(self::WORDS) - 1)],
        };
    }

    private function junk(): string
    {
        return self::WORDS[mt_rand(0, count(self::WORDS) - 1)].$this->seed;
    }
}
