<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

/** The two or three names that the trade has for most things: search knows them all, the screen uses one. */
final class TradeWords
{
    /** Words of one thing; the first is the one on the screen. */
    private const GROUPS = [
        ['common', 'com', 'c wire', 'c-wire', 'neutral side'],
        ['blower', 'fan', 'indoor fan', 'fan relay', 'blower relay'],
        ['auxiliary', 'aux', 'strip', 'strips', 'electric heat', 'backup'],
        ['reversing valve', 'changeover', 'valve', 'o/b', 'four-way valve'],
        ['heat pump', 'hp', 'reverse cycle'],
        ['dual fuel', 'hybrid'],
        ['furnace', 'gas', 'gas heat'],
        ['cooling', 'ac', 'a/c', 'air conditioner', 'condenser'],
        ['outdoor unit', 'condenser', 'compressor'],
        ['boiler', 'hydronic', 'zone valve', 'radiators'],
        ['float switch', 'overflow', 'drain switch', 'wet switch'],
        ['thermostat', 'stat'],
        ['transformer', 'xfmr', 'supply'],
        ['two stage', '2 stage', '2c', '2h', 'second stage'],
        ['fault call', 'service call', 'no heat', 'no cool', 'breakdown'],
        ['replacement', 'swap', 'changeout'],
        ['communicating', 'bus', 'data'],
        ['wireless', 'radio', 'receiver'],
    ];

    /** Whether every word asked for, or another name of it, stands in the text. */
    public static function matches(string $asked, string $text): bool
    {
        $text = ' '.self::plain($text);
        $asked = self::plain($asked);
        foreach (self::GROUPS as $group) {
            foreach ($group as $word) {
                if (preg_match('/(?<![a-z0-9])'.preg_quote($word, '/').'(?![a-z0-9])/', $asked) === 1 && self::anyOf($group, $text)) {
                    $asked = trim((string) preg_replace('/(?<![a-z0-9])'.preg_quote($word, '/').'(?![a-z0-9])/', ' ', $asked));
                }
            }
        }
        foreach (preg_split('/\s+/', $asked, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $whole = in_array($word, array_merge(...self::GROUPS), true) ? '(?![a-z0-9])' : '';
            if (preg_match('/(?<![a-z0-9])'.preg_quote($word, '/')."{$whole}/", $text) !== 1) {
                return false;
            }
        }

        return true;
    }

    /** @param  non-empty-list<string>  $group */
    private static function anyOf(array $group, string $text): bool
    {
        foreach ($group as $word) {
            if (preg_match('/(?<![a-z0-9])'.preg_quote($word, '/').'(?![a-z0-9])/', $text) === 1) {
                return true;
            }
        }

        return false;
    }

    private static function plain(string $text): string
    {
        return trim((string) preg_replace('/\s+/', ' ', mb_strtolower($text)));
    }
}
