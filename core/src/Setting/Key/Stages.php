<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** How many stages a thermostat may be set to: those of the equipment that a conductor reaches. */
final class Stages
{
    public static function set(Plan $plan, int $has, TerminalName $second): string
    {
        return (string) min($has, Reaches::equipment($plan, $second) ? 2 : 1);
    }

    /** @param  string  $what  compressor, heat or strip */
    public static function reason(Plan $plan, int $has, int $set, TerminalName $second, string $what): Message
    {
        return match (true) {
            $has <= 1 => Message::of('setting.stages.one', what: $what),
            $set >= 2 => Message::of('setting.stages.two', what: $what, screw: $second->value),
            Reaches::equipment($plan, $second) => Message::of('setting.stages.driven-as-one', what: $what),
            default => Message::of('setting.stages.not-reached', what: $what, screw: $second->value),
        };
    }
}
