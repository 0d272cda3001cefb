<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Equipment\SharedKit;
use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Words\Message;

/**
 * WO04 Compressor and fan share one conductor on K, to the adapter of the thermostat's own kit at the board: both calls
 * stay. Only with a plate that has K, and on one transformer with R, C, Y and G at the board.
 */
final class Wo04SharedKit implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $k = $draft->profile->named(TerminalName::K);
        if (
            $k === null ||
            $draft->profile->outputs !== Place::Wall ||
            $draft->changes->sharedKit ||
            SharedKit::screws($draft->house->archetype) === []
        ) {
            return [];
        }
        $compressor = $draft->carrier(TerminalName::Y1);
        $fan = $draft->carrier(TerminalName::G);
        $shared = $compressor ?? $fan;
        if ($shared === null) {
            return [];
        }
        $onK = static fn (Landing $l, Conductor $c): Landing => $l
            ->onWall($c->id(), End::landed($k->printed))
            ->onBoard($c->id(), End::landed(SharedKit::SCREW));
        $text = Message::of(
            'planning.wo04.carries-compressor-fan-together-on',
            shared: $shared->name(),
            k: $k->printed,
        );
        if ($missing === TerminalName::Y1 || $missing === TerminalName::G) {
            return [$this->taking($draft, $text, $onK($draft->landing, $shared))];
        }
        $landing = $fan === null || $compressor === null ? null : $draft->carrying($fan, $missing);

        return $landing === null
            ? []
            : [
                $this->taking(
                    $draft,
                    Message::of(
                        'planning.wo04.brings-instead-g',
                        text: $text,
                        fan: $fan->name(),
                        missing: $missing->value,
                    ),
                    $onK($landing, $shared),
                ),
            ];
    }

    private function taking(Draft $draft, Message $text, Landing $landing): Draft
    {
        $way = new WayOut(
            code: 'WO04',
            text: $text,
            part: Message::of('planning.wo04.adapter-thermostats-kit'),
            cost: 1.5,
            minutes: 20,
            trips: 1,
            risk: 1,
            warns: Message::of('planning.wo04.only-adapter-thermostats-own-kit'),
        );

        return $draft->taking($way, $landing, $draft->changes->withKit());
    }
}
