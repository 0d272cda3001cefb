<?php

declare(strict_types=1);

namespace Unionbit\Core\Bench;

/**
 * How long a blade fuse holds a multiple of its rating. The usual limits: 110 % at least 100 h, 135 % 0.75–600 s,
 * 200 % 0.15–5 s, 350 % 0.04–0.5 s; between them straight lines on a double logarithmic scale.
 */
final class FuseCurve
{
    private const POINTS = [[1.35, 0.75, 600.0], [2.0, 0.15, 5.0], [3.5, 0.04, 0.5]];

    /**
     * Seconds until it opens; null where it holds for ever.
     *
     * @param  float  $multiple  current ÷ rating
     * @param  float  $where  0 the fastest fuse of the limits, 1 the slowest
     */
    public static function seconds(float $multiple, float $where): ?float
    {
        if ($multiple < self::POINTS[0][0]) {
            return null;
        }
        $last = self::POINTS[count(self::POINTS) - 1];
        if ($multiple >= $last[0]) {
            return self::between($last[1], $last[2], $where);
        }
        foreach (array_slice(self::POINTS, 1) as $index => [$high, $fast, $slow]) {
            [$low, $fastBefore, $slowBefore] = self::POINTS[$index];
            if ($multiple < $high) {
                $share = log($multiple / $low) / log($high / $low);

                return self::between(self::between($fastBefore, $fast, $share), self::between($slowBefore, $slow, $share), $where);
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
