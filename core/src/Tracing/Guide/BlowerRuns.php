<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Tracing\Next\Candidate;
use Unionbit\Core\Tracing\Test\Face;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;

/**
 * The blower will not stop: what is set so, a limit that opened (the board runs it without any call), then the
 * thermostat out, then G off its screw, then the relay's own contacts.
 */
final class BlowerRuns
{
    /** @return list<Step> */
    public static function steps(Ground $ground): array
    {
        $blower = Observable::Blower->value;
        if (! isset($ground->sight->answers[$blower])) {
            return [];
        }
        $idle = new TestSetup();
        $see = Probe::see([$blower]);
        $steps = [];
        foreach ($ground->repairs as $repair) {
            $runs =
                $repair->look !== null &&
                array_any(
                    $repair->ends,
                    static fn (Fault $f): bool => $ground->world->solve($idle, $f, [])->seen[$blower] ?? false,
                );
            if ($runs) {
                $steps[] = Step::test(new Candidate($ground->state->setup, [Probe::inspect($repair->id)]));
            }
        }
        foreach ($ground->world->netlist()->elements as $element) {
            if ($element->kind === ElementKind::SafetySwitch) {
                $pair = ["{$element->id}.in", "{$element->id}.out"];
                $steps[] = Step::test(new Candidate($idle, $ground->probes(MeterMode::Volts, [$pair])));
            }
        }
        $steps[] = Step::test(new Candidate($idle->faced(Face::Off), [$see]));
        $steps[] = Step::test(new Candidate($idle->faced(Face::Bare), [$see]));
        $lifted = self::lifted($ground);
        if ($lifted !== null) {
            $steps[] = Step::test($lifted);
        }

        return [...$steps, Step::anyOf([new Candidate(TestSetup::dead(), self::contacts($ground))], 3)];
    }

    /** G off its screw at the board: what runs then is the board's own, what stands on the copper is the cable's. */
    private static function lifted(Ground $ground): ?Candidate
    {
        $supply = $ground->supply();
        $screw = $ground->circuit->installation->archetype->terminals;
        $fan = array_find($screw, static fn ($t): bool => $t->name === TerminalName::G);
        if ($supply === null || $fan === null) {
            return null;
        }
        $ends = $ground->endsOnStrip($supply)[$fan->point()] ?? [];
        $pairs = array_map(static fn (string $end): array => [$end, $supply->common], $ends);

        return $ends === []
            ? null
            : new Candidate((new TestSetup())->lifting($ends), [
                Probe::see([Observable::Blower->value]),
                ...$ground->probes(MeterMode::Volts, $pairs),
            ]);
    }

    /** @return list<Probe> */
    private static function contacts(Ground $ground): array
    {
        $pairs = [];
        foreach ($ground->world->netlist()->lineSide as $element) {
            if ($element->kind === ElementKind::LineContact) {
                $pairs[] = ["{$element->subject}.contact-a", "{$element->subject}.contact-b"];
            }
        }

        return $ground->probes(MeterMode::Ohms, $pairs);
    }
}
