<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** SC14 The fuse: never larger than the board calls for, never bridged. */
final readonly class Sc14Fuse implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $in = $installation->facts->fuseAmps;
        $marked = $installation->answers->number('fuseMarked');
        if ($installation->answers->is('fuseState', 'bridged')) {
            return [
                Finding::of(
                    'SC14',
                    Severity::Stop,
                    Message::of('screening.sc14.fuse-bridged'),
                    Message::of('screening.sc14.any-short-now-burns-transformer'),
                    Message::of('screening.sc14.put-in-fuse-board-calls'),
                ),
            ];
        }
        if ($in !== null && $marked !== null && $in > $marked) {
            return [
                Finding::of(
                    'SC14',
                    Severity::Stop,
                    Message::of(
                        'screening.sc14.fuse-where-board-calls-for',
                        in: Quantity::of($in, Unit::Amps),
                        marked: Quantity::of($marked, Unit::Amps),
                    ),
                    Message::of('screening.sc14.larger-fuse-protects-nothing-behind'),
                    Message::of('screening.sc14.put-in-before-going-on', marked: Quantity::of($marked, Unit::Amps)),
                ),
            ];
        }
        if ($in !== null && $marked !== null) {
            return [
                Finding::of(
                    'SC14',
                    Severity::Good,
                    Message::of('screening.sc14.fuse-as-board-calls-for', in: Quantity::of($in, Unit::Amps)),
                    $in < $marked
                        ? Message::of(
                            'screening.sc14.smaller-than-marked-may-open',
                            marked: Quantity::of($marked, Unit::Amps),
                        )
                        : Message::of('screening.sc14.fuse-marking-agree'),
                    Message::of('screening.sc14.nothing-do'),
                ),
            ];
        }

        return $in === null && $installation->answers->is('fuseState', 'none')
            ? [
                Finding::of(
                    'SC14',
                    Severity::Note,
                    Message::of('screening.sc14.no-fuse'),
                    Message::of('screening.sc14.only-transformer-itself-limits-short'),
                    Message::of('screening.sc14.put-3-fuse-in-line'),
                ),
            ]
            : [];
    }
}
