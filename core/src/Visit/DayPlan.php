<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

/** A crew's day: what will not fit, and why. */
final class DayPlan
{
    /** Minutes after midnight; a crew can end later, but is told. */
    public const ENDS = 17 * 60;

    /**
     * @param  list<DayVisit>  $visits
     * @param  list<string>  $people  everybody who could help
     * @return list<array{visit: string, text: string}>
     */
    public static function warnings(array $visits, array $people): array
    {
        usort($visits, static fn (DayVisit $a, DayVisit $b): int => $a->start <=> $b->start);
        $warnings = [];
        foreach ($visits as $index => $visit) {
            $text = self::tooLong($visit, array_slice($visits, $index + 1));
            if ($text !== null) {
                $warnings[] = ['visit' => $visit->id, 'text' => $text];
            }
            $alone = self::alone($visit, $visits, $people);
            if ($alone !== null) {
                $warnings[] = ['visit' => $visit->id, 'text' => $alone];
            }
        }

        return $warnings;
    }

    /** "09:05" */
    public static function clock(int $minutes): string
    {
        return sprintf('%02d:%02d', intdiv($minutes, 60), $minutes % 60);
    }

    /** @param  list<DayVisit>  $later */
    private static function tooLong(DayVisit $visit, array $later): ?string
    {
        foreach ($later as $next) {
            if ($next->who === $visit->who && $visit->end() > $next->start) {
                return self::over($visit, $next->start, "{$next->site} begins at ".self::clock($next->start));
            }
        }

        return $visit->end() > self::ENDS
            ? self::over($visit, self::ENDS, 'the day ends at '.self::clock(self::ENDS))
            : null;
    }

    private static function over(DayVisit $visit, int $limit, string $why): string
    {
        $over = $visit->end() - $limit;
        $delay =
            $visit->waits > 0 && $visit->end() - $visit->waits <= $limit
                ? " Without its delays of {$visit->waits} min it would: the compressor's minutes do not fit."
                : '';

        return "{$visit->site} takes {$visit->minutes} min, until ".
            self::clock($visit->end()).
            ", and {$why}: {$over} min too long.{$delay}";
    }

    /**
     * @param  list<DayVisit>  $visits
     * @param  list<string>  $people
     */
    private static function alone(DayVisit $visit, array $visits, array $people): ?string
    {
        if ($visit->two === null) {
            return null;
        }
        $busy = [];
        foreach ($visits as $other) {
            if ($other->who !== $visit->who && $other->overlaps($visit)) {
                $busy[$other->who] =
                    "{$other->who} is at {$other->site} from ".
                    self::clock($other->start).
                    ' to '.
                    self::clock($other->end());
            }
        }
        $free = array_diff($people, [$visit->who], array_keys($busy));

        return $free === []
            ? "{$visit->site}: {$visit->two} takes a person at each end, and ".
                    ($busy === [] ? 'nobody else is there.' : implode('; ', $busy).'.')
            : null;
    }
}
