<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

/**
 * What has no conductor runs with what has one, tied at the board: G with Y, so that cooling moves air (the sister of
 * WO03), a second heat stage with the first, always high (WO10, MR09). Two compressors are never proposed to be tied.
 */
final class TiedAtBoard implements Way
{
    private const WITH = ['G' => ['Y1', 'WO03'], 'W2' => ['W1', 'WO10'], 'Y2' => ['Y1', 'WO10']];

    public function out(Draft $draft, TerminalName $missing): array
    {
        [$with, $code] = self::WITH[$missing->value] ?? [null, ''];
        $one = $draft->house->answers->is('compressors', 'one');
        if ($with === null || ($missing === TerminalName::Y2 && ! $one)) {
            return [];
        }
        [$carried, $tied] = [$draft->boardScrew(TerminalName::from($with)), $draft->boardScrew($missing)];
        if ($carried === null || $tied === null || $carried->place !== $tied->place) {
            return [];
        }
        $tie = Jumper::tie($carried->place, $carried->printed, $tied->printed);
        if ($draft->landing->tie($tie) !== null) {
            return [];
        }

        return [
            $draft
                ->without($missing)
                ->taking(
                    new WayOut(
                        code: $code,
                        text: Message::of(
                            'planning.tied-at-board.no-conductor-brings',
                            missing: $tied->printed,
                            with: $carried->printed,
                        ),
                        part: Message::of('planning.wo10.jumper-with-pigtail'),
                        cost: 0.2,
                        minutes: 6,
                        trips: 1,
                        risk: $missing === TerminalName::G ? 1 : 4,
                        warns: $missing === TerminalName::G
                            ? null
                            : Message::of('planning.wo10.always-high-stage-check-temperature'),
                    ),
                    $draft->landing->withJumper($tie),
                ),
        ];
    }
}
