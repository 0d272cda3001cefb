<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Screening\SurveyReading;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Wiring\Conductor;

/** SC13 A letter that means two things: proved by ohms, power off, conductor lifted at the wall. */
final readonly class Sc13AmbiguousLetter implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $findings = [];
        foreach ($installation->wallCable()->conductors ?? [] as $conductor) {
            $terminal =
                $conductor->near->terminal === null
                    ? null
                    : Vocabulary::resolve($conductor->near->terminal, Place::Wall, $installation->archetype->reverses);
            if ($terminal !== null && $terminal->ambiguous) {
                $findings[] = $this->finding($conductor, (string) $terminal->note, $readings);
            }
        }

        return $findings;
    }

    /** @param  list<SurveyReading>  $readings */
    private function finding(Conductor $conductor, string $note, array $readings): Finding
    {
        $end = "A{$conductor->number}";
        $points = ["{$end}.near", "wall.{$conductor->near->terminal}"];
        foreach (array_reverse($readings) as $reading) {
            $here = array_intersect($points, [$reading->a, $reading->b]) !== [];
            if ($here && $reading->mode === MeterMode::Ohms) {
                return Finding::of(
                    'SC13',
                    Severity::Note,
                    "{$conductor->near->label()} read ".
                        ($reading->value === null ? 'open' : sprintf('%.1f Ω', $reading->value)),
                    self::means($reading),
                    'The conductor was lifted at the wall, power off? Then look at the equipment end to confirm: near 0 can also be a shorted valve.',
                    [$end],
                    $points,
                );
            }
        }

        return Finding::of(
            'SC13',
            Severity::Warning,
            "{$conductor->near->label()} means more than one thing",
            $note,
            'Power off, lift it at the wall, read ohms to C (or to R where there is no C). About 0–1 Ω is the common, about 17 Ω a valve coil, kilohms an outdoor board, open is broken.',
            [$end],
            $points,
        );
    }

    private static function means(SurveyReading $reading): string
    {
        $toHot = $reading->isFromHot() ? 1.5 : 0.0;

        return match (true) {
            $reading->value === null => 'Open: broken, or landed nowhere.',
            $reading->value - $toHot < 3.0 => 'That is the common'.
                ($toHot > 0 ? ', through the winding from R.' : '.'),
            $reading->value - $toHot < 100.0 => 'That is a valve coil, about 17 Ω.',
            $reading->value > 500.0 => 'That is a board input, or a valve behind an outdoor board.',
            default => 'Neither common nor a bare valve coil: a coil of another kind.',
        };
    }
}
