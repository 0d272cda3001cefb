<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\Contacts;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Tracing\Next\Candidate;

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
        $idle = Hands::calling();
        $see = Probe::see([$blower]);
        $steps = [];
        foreach ($ground->repairs as $repair) {
            $runs =
                $repair->look !== null &&
                array_any(
                    $repair->ends,
                    static fn (Fault $f): bool => $ground->house->with($f)->state($idle)->seen[$blower] ?? false,
                );
            if ($runs) {
                $steps[] = Step::test(new Candidate($ground->state->setup, [Probe::inspect($repair->id)]));
            }
        }
        foreach ($ground->house->contacts->netlist->elements as $element) {
            $pair = $element->kind === ElementKind::SafetySwitch ? Contacts::endsOf($element) : null;
            if ($pair !== null) {
                $steps[] = Step::test(new Candidate($idle, $ground->probes(MeterMode::Volts, [$pair])));
            }
        }
        $steps[] = Step::test(new Candidate($idle->faced(Face::Off), [$see]));
        $steps[] = Step::test(new Candidate($idle->faced(Face::Bare), [$see]));
        $lifted = self::lifted($ground);
        if ($lifted !== null) {
            $steps[] = Step::test($lifted);
        }

        return [
            ...$steps,
            Step::anyOf(
                [
                    new Candidate(
                        Hands::dead(),
                        $ground->probes(MeterMode::Ohms, $ground->candidates->lineContacts()),
                    ),
                ],
                3,
            ),
        ];
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
        $pairs = array_map(static fn (At $end): array => [$end, At::read($supply->common)], $ends);

        return $ends === []
            ? null
            : new Candidate(Hands::calling()->lifting(...$ends), [
                Probe::see([Observable::Blower->value]),
                ...$ground->probes(MeterMode::Volts, $pairs),
            ]);
    }
}
