<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/**
 * Whether a profile makes sense as a thermostat: every switch has its hot, the link joins hots, power comes from
 * somewhere.
 */
final class ProfileCheck
{
    /** @throws InvalidData */
    public static function check(Profile $profile): void
    {
        $seen = [];
        foreach ($profile->terminals as $index => $terminal) {
            if (isset($seen[$terminal->printed])) {
                throw InvalidData::notAllowed(
                    "/terminals/{$index}/printed",
                    $terminal->printed,
                    Message::of('thermostat.profile-check.letter-no-other-screw-plate'),
                );
            }
            $seen[$terminal->printed] = true;
        }
        $hots = array_map(static fn (PlateTerminal $t): string => $t->printed, $profile->hots());
        if ($hots === []) {
            throw InvalidData::unreadable(
                '/terminals',
                Message::of('thermostat.profile-check.has-no-hot-screw-needed'),
            );
        }
        foreach ($profile->terminals as $index => $terminal) {
            if ($terminal->name->isCall() && ! in_array($terminal->hot, $hots, true)) {
                throw InvalidData::notAllowed("/terminals/{$index}/hot", $terminal->hot, implode(', ', $hots));
            }
        }
        foreach ($profile->link ?? [] as $index => $screw) {
            if (! in_array($screw, $hots, true)) {
                throw InvalidData::notAllowed("/link/between/{$index}", $screw, implode(', ', $hots));
            }
        }
        if (
            in_array($profile->power, [PowerKind::Common, PowerKind::Shared], true) &&
            ! in_array($profile->powerFrom, $hots, true)
        ) {
            throw InvalidData::notAllowed('/power/from', $profile->powerFrom, implode(', ', $hots));
        }
        if (
            $profile->power === PowerKind::Common &&
            ($profile->named(TerminalName::C) === null || $profile->powerVa <= 0.0)
        ) {
            throw InvalidData::unreadable('/power', Message::of('thermostat.profile-check.runs-on-r-c-needs'));
        }
        if ($profile->power === PowerKind::Shared && $profile->terminal($profile->charges ?? '') === null) {
            throw InvalidData::notAllowed(
                '/power/charges',
                $profile->charges,
                Message::of('thermostat.profile-check.call-screw-plate'),
            );
        }
    }
}
