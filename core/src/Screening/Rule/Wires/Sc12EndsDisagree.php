<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Tip;
use Unionbit\Core\Words\Message;

/** SC12 A conductor whose two ends carry different letters: a deliberate reuse, or a swap. */
final readonly class Sc12EndsDisagree implements ScreeningRule
{
    /** Letters that mean the same at the two ends of one conductor. */
    private const SAME = [
        ['R', 'Rc', 'Rh'],
        ['O', 'O/B'],
        ['B', 'O/B'],
        ['W2', 'Aux'],
        ['W1', 'Aux'],
        ['Aux', 'E'],
    ];

    public function check(Installation $installation, array $readings): array
    {
        $findings = [];
        foreach ($installation->wallConductors() as $conductor) {
            $wall = $installation->onPlate($conductor)?->name;
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
                foreach (Side::cases() as $side) {
                    $tip = new Tip($cable, $conductor, $side);
                    [$place, $end] = [$tip->place(), $tip->end()];
                    if (
                        $place !== Place::Wall &&
                        $end->terminal !== null &&
                        ! $installation->hasScrew($place, $end->terminal)
                    ) {
                        $printed = implode(', ', $installation->archetype->printedAt($place));
                        $findings[] = Finding::of(
                            'SC12',
                            Severity::Warning,
                            Message::of(
                                'screening.sc12.on-which-equipment-does-not',
                                conductor: $conductor->name(),
                                end: $end->terminal,
                                place: $place->label(),
                            ),
                            Message::of(
                                'screening.sc12.prints-what-hangs-on-unknown',
                                archetype: $installation->archetype->title,
                                printed: $printed,
                                end: $end->terminal,
                            ),
                            Message::of('screening.sc12.read-board-again-another-kind'),
                            [$tip->at()->id],
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
                static fn (array $pair): bool => in_array($a->value, $pair, true) &&
                    in_array($b->value, $pair, true),
            ) !== [];
    }

    private function finding(Conductor $conductor, TerminalName $wall, TerminalName $board): Finding
    {
        $does = $wall->isCall()
            ? Message::of('screening.sc12.call-for-works', role: $wall->role(), role2: $board->role())
            : Message::of('screening.sc12.plates-boards', wall: $wall->value, board: $board->value);
        $grave = $wall->isHot() !== $board->isHot() || ($wall === TerminalName::C) !== ($board === TerminalName::C);

        return Finding::of(
            'SC12',
            $grave ? Severity::Error : Severity::Warning,
            Message::of(
                'screening.sc12.at-wall-at-board',
                conductor: $conductor->name(),
                near: $conductor->near->label(),
                far: $conductor->far->label(),
            ),
            Message::of('screening.sc12.as-deliberate-reuse-or-swap', does: $does),
            Message::of('screening.sc12.ask-trace-equipment-end-says'),
            [$conductor->id()],
        );
    }
}
