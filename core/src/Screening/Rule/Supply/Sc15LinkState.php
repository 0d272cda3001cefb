<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** SC15 The R–Rc link found on the plate against the number of transformers. */
final class Sc15LinkState implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $link = $installation->facts->plateLink;
        $transformers = count($installation->archetype->supplies());

        if ($link === LinkState::Unknown) {
            return [
                Finding::of(
                    'SC15',
                    Severity::Note,
                    Message::of('screening.sc15.rc-rh-link-not-looked'),
                    Message::of('screening.sc15.link-in-link-out-or'),
                    Message::of('screening.sc15.look-at-old-plate-say'),
                ),
            ];
        }
        if ($transformers === 1 && $link === LinkState::Out) {
            return [
                Finding::of(
                    'SC15',
                    Severity::Warning,
                    Message::of('screening.sc15.link-out-on-one-transformer'),
                    Message::of('screening.sc15.with-one-r-conductor-one'),
                    Message::of('screening.sc15.ask-which-call-did-not'),
                ),
            ];
        }
        if ($transformers > 1 && $link === LinkState::In) {
            return [
                Finding::of(
                    'SC15',
                    Severity::Error,
                    Message::of('screening.sc15.link-in-on-two-transformers'),
                    Message::of('screening.sc15.ties-two-one-switched-off'),
                    Message::of('screening.sc15.take-link-out-before-going'),
                ),
            ];
        }

        return [
            Finding::of(
                'SC15',
                Severity::Good,
                Message::of(
                    'screening.sc15.text',
                    link: $link->label()->opening(),
                    clause: $transformers === 1
                        ? Message::of('screening.sc15.one-transformer')
                        : Message::of('screening.sc15.two-transformers'),
                ),
                Message::of('screening.sc15.plate-supply-agree'),
                Message::of('screening.sc15.nothing-do'),
            ),
        ];
    }
}
