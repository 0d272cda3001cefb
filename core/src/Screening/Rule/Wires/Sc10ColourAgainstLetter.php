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
use Unionbit\Core\Wiring\Conductor;

/** SC10 A colour on a letter where custom puts another one: trace it before trusting either. */
final class Sc10ColourAgainstLetter implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $findings = [];
        foreach ($installation->wallCable()->conductors ?? [] as $conductor) {
            $name =
                $conductor->near->terminal === null
                    ? null
                    : Vocabulary::resolve($conductor->near->terminal, Place::Wall, $installation->archetype->reverses)
                        ->name;
            if (
                $name === null ||
                $name->customaryColours() === [] ||
                in_array($conductor->colour, $name->customaryColours(), true)
            ) {
                continue;
            }
            $findings[] = $this->finding($conductor, $name);
        }

        return $findings;
    }

    private function finding(Conductor $conductor, TerminalName $name): Finding
    {
        $usual = $name->customaryColours()[0]->value;
        $often = $this->usuallyCarries($conductor);
        $meaning =
            "{$name->value} is usually {$usual}".
            ($often === null ? '.' : "; {$conductor->colour->value} is often {$often->value}.");
        $where = "{$conductor->name()} on {$conductor->near->label()}";

        return $conductor->evidence->isProof()
            ? Finding::of(
                'SC10',
                Severity::Note,
                "{$where}, against custom",
                $meaning,
                "It is {$conductor->evidence->label()}: keep it as it is, note it, do not correct the colour at one end.",
                ['A'.$conductor->number],
            )
            : Finding::of(
                'SC10',
                Severity::Warning,
                "Colour and letter disagree: {$where}",
                $meaning,
                'Trace it before trusting colour or letter.',
                ['A'.$conductor->number],
            );
    }

    private function usuallyCarries(Conductor $conductor): ?TerminalName
    {
        foreach (
            [TerminalName::R, TerminalName::C, TerminalName::Y1, TerminalName::G, TerminalName::W1, TerminalName::O] as $name
        ) {
            if (in_array($conductor->colour, $name->customaryColours(), true)) {
                return $name;
            }
        }

        return null;
    }
}
