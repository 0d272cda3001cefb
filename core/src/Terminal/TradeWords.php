<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

/**
 * The two or three names that the trade has for most things: search knows them all, the screen uses one. What is asked
 * becomes terms, each a list of names of one thing; a text fits if it has one name of each term.
 */
final class TradeWords
{
    /** Words of one thing; the first is the one on the screen. All in plain letters, as `plain` makes them. */
    private const GROUPS = [
        ['no common', 'no c', 'no c wire', 'without c', 'without common'],
        ['common', 'com', 'c wire', 'common wire', 'c conductor', 'neutral side'],
        ['hot', 'r wire', 'rc', 'rh'],
        ['blower', 'fan', 'indoor fan', 'fan relay', 'blower relay'],
        [
            'auxiliary heat',
            'auxiliary',
            'aux',
            'strip',
            'strips',
            'strip heat',
            'heat strip',
            'heat strips',
            'strip heater',
            'electric heat',
            'backup',
            'backup heat',
        ],
        ['emergency heat', 'emergency', 'em heat', 'e heat'],
        ['reversing valve', 'changeover', 'valve', 'o b', 'four way valve'],
        ['heat pump', 'hp', 'reverse cycle'],
        ['dual fuel', 'hybrid'],
        ['furnace', 'gas', 'gas heat'],
        ['cooling', 'ac', 'a c', 'air conditioner', 'air conditioning', 'condenser'],
        ['outdoor unit', 'condenser', 'compressor'],
        ['boiler', 'hydronic', 'zone valve', 'radiators'],
        ['float switch', 'float', 'floats', 'overflow', 'overflow switch', 'drain switch', 'wet switch'],
        ['thermostat', 'stat'],
        ['transformer', 'xfmr', 'supply'],
        ['two stage', '2 stage', '2c', '2h', 'second stage'],
        ['fault call', 'service call', 'no heat', 'no cool', 'breakdown'],
        ['replacement', 'swap', 'changeout'],
        ['communicating', 'bus', 'data'],
        ['wireless', 'radio', 'receiver'],
        ['board', 'terminal strip', 'control board'],
        ['conductor', 'wire', 'strand'],
        ['plate', 'subbase', 'wall plate', 'base'],
        ['spare', 'unused wire', 'extra wire'],
        ['splice', 'joint'],
        ['jumper', 'tie'],
        ['link', 'rc rh jumper'],
        ['power sharing', 'power stealing', 'power robbing'],
        ['shared y and g', 'kit', 'k'],
        ['two part', 'module'],
        ['defrost', 'ice'],
        ['left out', 'waiver', 'waived'],
        ['ghost', 'floating'],
        ['gray', 'grey'],
        ['archetype', 'equipment'],
        ['humidifier', 'hum'],
    ];

    /** Whether every word asked for, or another name of it, stands in the text. */
    public static function matches(string $asked, string $text): bool
    {
        $text = ' '.self::plain($text).' ';
        foreach (self::terms($asked) as $names) {
            if (array_filter($names, static fn (string $name): bool => str_contains($text, $name)) === []) {
                return false;
            }
        }

        return true;
    }

    /**
     * What is asked as terms that must all be found, each as names of which one is enough. A name stands as it is to be
     * looked for in a text made plain, with a space on both sides: " com " is the whole word, " toll" a beginning.
     *
     * @return list<non-empty-list<string>>
     */
    public static function terms(string $asked): array
    {
        $rest = ' '.self::plain($asked).' ';
        $terms = [];
        foreach (self::longestFirst() as $word) {
            if (str_contains($rest, " {$word} ")) {
                $terms[] = array_map(static fn (string $name): string => " {$name} ", self::namesOf($word));
                $rest = str_replace(" {$word} ", '  ', $rest);
            }
        }
        foreach (explode(' ', $rest) as $word) {
            if ($word !== '') {
                $terms[] = [" {$word}"];
            }
        }

        return $terms;
    }

    /** @return list<string> every name that the trade has, single words of it too */
    public static function all(): array
    {
        return array_values(array_unique(array_merge(...array_map(self::wordsOf(...), self::longestFirst()))));
    }

    /** @return list<string> */
    public static function wordsOf(string $text): array
    {
        return array_values(
            array_filter(explode(' ', self::plain($text)), static fn (string $w): bool => $w !== ''),
        );
    }

    /** Letters and digits in small letters, one space between words. */
    public static function plain(string $text): string
    {
        return trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($text)));
    }

    /** @return non-empty-list<string> every name of what goes by this one */
    private static function namesOf(string $word): array
    {
        $names = [$word];
        foreach (self::GROUPS as $group) {
            if (in_array($word, $group, true)) {
                array_push($names, ...$group);
            }
        }

        return array_values(array_unique($names));
    }

    /** @return list<string> */
    private static function longestFirst(): array
    {
        $words = array_values(array_unique(array_merge(...self::GROUPS)));
        usort($words, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));

        return $words;
    }
}
