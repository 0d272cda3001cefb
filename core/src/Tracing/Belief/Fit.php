<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Tracing\Test\Result;

/**
 * How likely a result is where a house would show something, 0 to 1: it allows for the meter's error, a probe that
 * slipped and a sign that was misread.
 */
final class Fit
{
    /** A probe slips, stands on oxide, or the number is misread; our working figure. */
    private const SLIP = 0.04;

    /** A sign is misread; our working figure. */
    public const MISREAD = 0.04;

    /** Part of the slips that reads nothing at all, or over the limit: a zero is cheaper to get wrong than 26 V. */
    private const NOTHING = 0.5;

    /** Part of them that reads just this other number. */
    private const SOMETHING = 0.06;

    /** A ghost tells less than a number, and so does a needle that wavers. */
    private const VAGUE = 0.5;

    public static function of(Showing $shows, ?MeterMode $mode, Result $result): float
    {
        $likelihood = $mode === null || ! $result->hasReading() ? 1.0 : self::reading($shows, $mode, $result);
        foreach ($result->sees as $key => $answer) {
            $shares = $shows->answers[$key] ?? null;
            if ($shares !== null) {
                $likelihood *= (1.0 - self::MISREAD) * ($shares[$answer] ?? 0.0) + self::MISREAD * 0.5;
            }
        }
        if ($result->found !== '' && $shows->finds !== null) {
            $likelihood *= $result->found === $shows->finds ? 1.0 : self::MISREAD;
        }

        return $likelihood;
    }

    private static function reading(Showing $shows, MeterMode $mode, Result $result): float
    {
        if ($mode === MeterMode::Beep && $result->beeps !== null) {
            $share = $shows->beeps ?? 0.5;

            return (1.0 - self::SLIP) * ($result->beeps ? $share : 1.0 - $share) + self::SLIP * 0.5;
        }
        if ($result->over) {
            return $shows->over ? 1.0 : self::SLIP * self::NOTHING;
        }
        $value = ((float) $result->low + (float) $result->high) / 2.0;
        $nothing = $mode !== MeterMode::Ohms && $mode !== MeterMode::Beep && $value < 1.0;
        $slipped = self::SLIP * ($nothing ? self::NOTHING : self::SOMETHING);
        if ($shows->over || $shows->low === null || $shows->high === null) {
            return $slipped;
        }
        if (
            $result->wavers() &&
            $shows->high - $shows->low < 0.5 * ((float) $result->high - (float) $result->low)
        ) {
            return $slipped;
        }
        $off = max(0.0, $shows->low - $value, $value - $shows->high);
        $edge = $mode === MeterMode::Amps ? 0.03 + 0.05 * $value : 0.3 + 0.05 * $value;
        $fits = exp(-0.5 * ($off / $edge) ** 2) * ($shows->ghost || $shows->wavers ? self::VAGUE : 1.0);

        return (1.0 - self::SLIP) * $fits + $slipped;
    }
}
