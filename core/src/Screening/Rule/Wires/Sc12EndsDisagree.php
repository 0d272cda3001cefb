<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Wiring\Conductor;

/** SC12 A conductor whose two ends carry different letters: a deliberate reuse, or a swap. */
final readonly class Sc12EndsDisagree implements ScreeningRule
{
    /** Letters that mean the same at the two ends of one conductor. */
    private const SAME = [['R', 'Rc', 'Rh'], ['O', 'O/B'], ['B', 'O/B'], ['W2', 'Aux'], ['W1', 'Aux'], ['Aux', 'E']];

    public function check(Installation $installation, array $readings): array
    {
        $findings = [];
        foreach ($installation->wallCable()->conductors ?? [] as $conductor) {
            $wall =
                $conductor->near->terminal === null
                    ? null
                    : Vocabulary::resolve($conductor->near->terminal, Place::Wall, $installation->archetype->reverses)
                        ->name;
            $board = $installation->meaning($conductor);
            if (
                $wall !== null &&
                $board !== null &&
                ! self::same($wall, $board) &&
                ! self::same($wall, Meaning::of($board, $installation->archetype))
            ) {
                $findings[] = $this->finding($conductor, $wall, $board);
            }
        }

        return [...$findings, ...self::notPrinted($installation)];
    }

    /** @return list<Finding> conductors on a screw that this equipment is not known to have */
    private static function notPrinted(Installation $installation): array
    {
        $findings = [];
        foreach ($installation->equipmentSeen() ? $installation->cables : [] as $cable) {
            foreach ($cable->conductors as $conductor) {
                foreach (
                    [[$cable->from, $conductor->near, 'near'], [$cable->to, $conductor->far, 'far']] as [$place, $end, $side]
                ) {
                    if (
                        $place !== Place::Wall &&
                        $end->terminal !== null &&
                        $installation->archetype->terminal($place, $end->terminal) === null
                    ) {
                        $printed = implode(', ', $installation->archetype->printedAt($place));
                        $findings[] = Finding::of(
                            'SC12',
                            Severity::Warning,
                            "{$conductor->name()} is on {$end->terminal} of the {$place->label()}, which this equipment does not have",
                            "{$installation->archetype->title} prints {$printed}. What hangs on {$end->terminal} is unknown to the circuit.",
                            'Read the board again: another kind of equipment, another letter, or a screw to keep in quotes.',
                            ["{$cable->id}{$conductor->number}.{$side}"],
                        );
                    }
                }
            }
        }

        return $findings;
    }

    private static function same(TerminalName $a, TerminalName $b): bool
    {
        return $a === $b ||
            array_filter(
                self::SAME,
                static fn (array $pair): bool => in_array($a->value, $pair, true) && in_array($b->value, $pair, true),
            ) !== [];
    }

    private function finding(Conductor $conductor, TerminalName $wall, TerminalName $board): Finding
    {
        $does = $wall->isCall()
            ? "a call for {$wall->role()} works {$board->role()}"
            : "the plate's {$wall->value} is the board's {$board->value}";
        $grave = $wall->isHot() !== $board->isHot() || ($wall === TerminalName::C) !== ($board === TerminalName::C);

        return Finding::of(
            'SC12',
            $grave ? Severity::Error : Severity::Warning,
            "{$conductor->name()}: {$conductor->near->label()} at the wall, {$conductor->far->label()} at the board",
            "As it is, {$does}. A deliberate reuse, or a swap.",
            'Ask, and trace it. The equipment end says what it is (MR01).',
            ["A{$conductor->number}"],
        );
    }
}
