<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Wires;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/** SC10 A colour on a letter where custom puts another one: trace it before trusting either. */
final class Sc10ColourAgainstLetter implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $findings = [];
        foreach ($installation->wallConductors() as $conductor) {
            $name = $installation->onPlate($conductor)?->name;
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
        $usual = $name->customaryColours()[0];
        $often = $this->usuallyCarries($conductor);
        $meaning = Message::of(
            'screening.sc10.usually',
            name: $name->value,
            usual: $usual,
            clause: $often === null
                ? Message::of('screening.sc10.text')
                : Message::of('screening.sc10.often', color: $conductor->colour, often: $often->value),
        );
        $where = Message::of('screening.sc10.on', conductor: $conductor->name(), near: $conductor->near->label());

        return $conductor->evidence->isProof()
            ? Finding::of(
                'SC10',
                Severity::Note,
                Message::of('screening.sc10.against-custom', where: $where),
                $meaning,
                Message::of('screening.sc10.keep-as-note-do-not', evidence: $conductor->evidence->label()),
                [$conductor->id()],
            )
            : Finding::of(
                'SC10',
                Severity::Warning,
                Message::of('screening.sc10.colour-letter-disagree', where: $where),
                $meaning,
                Message::of('screening.sc10.trace-before-trusting-colour-or'),
                [$conductor->id()],
            );
    }

    private function usuallyCarries(Conductor $conductor): ?TerminalName
    {
        $usual = [
            TerminalName::R,
            TerminalName::C,
            TerminalName::Y1,
            TerminalName::G,
            TerminalName::W1,
            TerminalName::O,
        ];
        foreach ($usual as $name) {
            if (in_array($conductor->colour, $name->customaryColours(), true)) {
                return $name;
            }
        }

        return null;
    }
}
