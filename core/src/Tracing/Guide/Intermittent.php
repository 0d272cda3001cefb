<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Point\At;
use Unionbit\Core\Tracing\Next\Trials;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;

/**
 * What comes and goes: measured before anything is touched, then soaked under call and measured again, then wiggled
 * spot by spot, each spot kept with whether it answered. Touched first, it may go away for a week.
 */
final class Intermittent
{
    /** Minutes at one spot. */
    public const WIGGLE = 0.5;

    private const SPOTS = 8;

    private const MEASURED = 3;

    /** @return list<Step> */
    public static function steps(Ground $ground): array
    {
        $steps = [
            Step::anyOf($ground->candidates->calls(), self::MEASURED),
            Step::event(new Event(EventKind::Soaked, minutes: Trials::SOAK)),
        ];
        $spots = [];
        foreach ($ground->standings as $standing) {
            foreach ($standing->suspect->comesAndGoes() ? $standing->suspect->spots : [] as $spot) {
                if ($ground->house->contacts->has(At::read($spot))) {
                    $spots[$spot] = true;
                }
            }
        }
        foreach (array_slice(array_keys($spots), 0, self::SPOTS) as $spot) {
            $steps[] = Step::event(new Event(EventKind::Touched, of: $spot));
        }

        return $steps;
    }
}
