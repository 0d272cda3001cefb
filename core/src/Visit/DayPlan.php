<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** A crew's day: what will not fit, and why. */
final class DayPlan
{
    /** Minutes after midnight; a crew can end later, but is told. */
    public const ENDS = 17 * 60;

    /**
     * @param  list<DayVisit>  $visits
     * @param  list<string>  $people  everybody who could help
     * @return list<array{visit: string, text: Message}>
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
    private static function tooLong(DayVisit $visit, array $later): ?Message
    {
        foreach ($later as $next) {
            if ($next->who === $visit->who && $visit->end() > $next->start) {
                return self::over(
                    $visit,
                    $next->start,
                    Message::of('visit.day-plan.begins-at', site: $next->site, clock: self::clock($next->start)),
                );
            }
        }

        return $visit->end() > self::ENDS
            ? self::over(
                $visit,
                self::ENDS,
                Message::of('visit.day-plan.day-ends-at', clock: self::clock(self::ENDS)),
            )
            : null;
    }

    private static function over(DayVisit $visit, int $limit, Message $why): Message
    {
        $over = $visit->end() - $limit;
        $waits = $visit->waits > 0 && $visit->end() - $visit->waits <= $limit;

        return Message::sentences([
            Message::of(
                'visit.day-plan.too-long',
                site: $visit->site,
                minutes: Quantity::of($visit->minutes, Unit::Minutes),
                until: self::clock($visit->end()),
                why: $why,
                over: Quantity::of($over, Unit::Minutes),
            ),
            $waits
                ? Message::of('visit.day-plan.without-delays', waits: Quantity::of($visit->waits, Unit::Minutes))
                : Message::none(),
        ]);
    }

    /**
     * @param  list<DayVisit>  $visits
     * @param  list<string>  $people
     */
    private static function alone(DayVisit $visit, array $visits, array $people): ?Message
    {
        if ($visit->two === null) {
            return null;
        }
        $busy = [];
        foreach ($visits as $other) {
            if ($other->who !== $visit->who && $other->overlaps($visit)) {
                $busy[$other->who] = Message::of(
                    'visit.day-plan.at-from',
                    who: $other->who,
                    site: $other->site,
                    from: self::clock($other->start),
                    to: self::clock($other->end()),
                );
            }
        }
        $free = array_diff($people, [$visit->who], array_keys($busy));

        if ($free !== []) {
            return null;
        }

        return $busy === []
            ? Message::of('visit.day-plan.nobody-else', site: $visit->site, task: $visit->two)
            : Message::of(
                'visit.day-plan.others-busy',
                site: $visit->site,
                task: $visit->two,
                busy: array_values($busy),
            );
    }
}
