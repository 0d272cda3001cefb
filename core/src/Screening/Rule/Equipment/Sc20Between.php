<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/**
 * SC20 What stands between thermostat and equipment is the equipment: a zone panel that the circuit does not have, an
 * add-on kit that it cannot have.
 */
final readonly class Sc20Between implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $answer = $installation->answers->choice('shedding');
        $panel = in_array(Place::ZonePanel->value, array_column($installation->archetype->units, 'place'), true);
        $what = match (true) {
            $answer === 'panel' && ! $panel => 'panel-missing',
            $answer === 'kit' => 'kit',
            $panel && $answer !== null && $answer !== 'panel' => 'panel-denied',
            default => null,
        };

        return $what === null
            ? []
            : [
                Finding::of(
                    'SC20',
                    $what === 'kit' ? Severity::Stop : Severity::Error,
                    Message::of('screening.sc20.between.title', what: $what),
                    Message::of('screening.sc20.between.meaning', what: $what),
                    Message::of('screening.sc20.between.action', what: $what),
                ),
            ];
    }
}
