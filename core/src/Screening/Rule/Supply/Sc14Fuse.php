<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

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
                    'The fuse is bridged',
                    'Any short now burns the transformer or the board instead of the fuse.',
                    'Put in the fuse that the board calls for, then find why somebody bridged it.',
                ),
            ];
        }
        if ($in !== null && $marked !== null && $in > $marked) {
            return [
                Finding::of(
                    'SC14',
                    Severity::Stop,
                    sprintf('%g A fuse where the board calls for %g A', $in, $marked),
                    'A larger fuse protects nothing behind it: a short is carried by the transformer and the board.',
                    sprintf('Put in %g A before going on.', $marked),
                ),
            ];
        }
        if ($in !== null && $marked !== null) {
            return [
                Finding::of(
                    'SC14',
                    Severity::Good,
                    sprintf('%g A fuse, as the board calls for', $in),
                    $in < $marked
                        ? sprintf('Smaller than the %g A marked: it may open under load.', $marked)
                        : 'Fuse and marking agree.',
                    'Nothing to do.',
                ),
            ];
        }

        return $in === null && $installation->answers->is('fuseState', 'none')
            ? [
                Finding::of(
                    'SC14',
                    Severity::Note,
                    'No fuse',
                    'Only the transformer itself limits a short here.',
                    'Put a 3 A fuse in line with R at the unit.',
                ),
            ]
            : [];
    }
}
