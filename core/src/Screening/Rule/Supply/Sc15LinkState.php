<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC15 The R–Rc link found on the plate against the number of transformers. */
final class Sc15LinkState implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $link = $installation->facts->plateLink;
        $transformers = count($installation->archetype->transformers);

        if ($link === LinkState::Unknown) {
            return [
                Finding::of(
                    'SC15',
                    Severity::Note,
                    'Rc–Rh link not looked at',
                    'Link in, link out or one R screw: it tells how the plate shares its hot.',
                    'Look at the old plate and say which.',
                ),
            ];
        }
        if ($transformers === 1 && $link === LinkState::Out) {
            return [
                Finding::of(
                    'SC15',
                    Severity::Warning,
                    'Link out on one transformer',
                    'With one R conductor, one family of calls (heating or cooling) is dead.',
                    'Ask which call did not work; look for a second hot before closing the link.',
                ),
            ];
        }
        if ($transformers > 1 && $link === LinkState::In) {
            return [
                Finding::of(
                    'SC15',
                    Severity::Error,
                    'Link in on two transformers',
                    'It ties the two: one switched off is fed backwards and carries line voltage on its primary.',
                    'Take the link out before going on.',
                ),
            ];
        }

        return [
            Finding::of(
                'SC15',
                Severity::Good,
                ucfirst($link->label()).($transformers === 1 ? ', one transformer' : ', two transformers'),
                'The plate and the supply agree.',
                'Nothing to do.',
            ),
        ];
    }
}
