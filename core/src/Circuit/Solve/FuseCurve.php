<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Solve;

/**
 * How long a blade fuse holds a multiple of its rating. The usual limits: 110 % at least 100 h, 135 % 0.75–600 s,
 * 200 % 0.15–5 s, 350 % 0.04–0.5 s; between them straight lines on a double logarithmic scale.
 */
final class FuseCurve
{
    /** Times its rating from which on a fuse opens. */
    public const OPENS_FROM = 1.35;

    private const POINTS = [[self::OPENS_FROM, 0.75, 600.0], [2.0, 0.15, 5.0], [3.5, 0.04, 0.5]];

    /** A resettable test breaker is far slower: 135 % minutes to an hour, 200 % 8–60 s, 600 % 0.5–4 s. */
    private const BREAKER = [[1.35, 60.0, 3600.0], [2.0, 8.0, 60.0], [6.0, 0.5, 4.0]];

    /** The same for a resettable test breaker in the fuse's place. */
    public static function breakerSeconds(float $multiple, float $where): ?float
    {
        return self::on(self::BREAKER, $multiple, $where);
    }

    /**
     * Seconds until it opens; null where it holds for ever.
     *
     * @param  float  $multiple  current ÷ rating
     * @param  float  $where  0 the fastest fuse of the limits, 1 the slowest
     */
    public static function seconds(float $multiple, float $where): ?float
    {
        return self::on(self::POINTS, $multiple, $where);
    }

    /** @param  non-empty-list<array{float, float, float}>  $points multiple, fastest and slowest seconds */
    private static function on(array $points, float $multiple, float $where): ?float
    {
        if ($multiple < $points[0][0]) {
            return null;
        }
        $last = $points[count($points) - 1];
        if ($multiple >= $last[0]) {
            return self::between($last[1], $last[2], $where);
        }
        foreach (array_slice($points, 1) as $index => [$high, $fast, $slow]) {
            [$low, $fastBefore, $slowBefore] = $points[$index];
            if ($multiple < $high) {
                $share = log($multiple / $low) / log($high / $low);

                return self::between(
                    self::between($fastBefore, $fast, $share),
                    self::between($slowBefore, $slow, $share),
                    $where,
                );
            }
        }

        return null;
    }

    /** A point between two, on a logarithmic scale. */
    private static function between(float $a, float $b, float $share): float
    {
        return exp(log($a) + (log($b) - log($a)) * $share);
    }
}
