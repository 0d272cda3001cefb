<?php

declare(strict_types=1);

namespace App\Pages;

use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Evidence;

/** Conductors of the survey's ledger, as the screen reads them. */
final class ConductorView
{
    /** @return array<string, mixed> */
    public static function cable(Cable $cable): array
    {
        return [
            'id' => $cable->id, 'label' => $cable->label(), 'from' => $cable->from->value, 'to' => $cable->to->value,
            'fromLabel' => $cable->from->label(), 'toLabel' => $cable->to->label(), 'gauge' => $cable->gauge, 'feet' => $cable->feet,
            'conductors' => array_map(self::conductor(...), $cable->conductors),
        ];
    }

    /** @return array{value: string, label: string, proof: bool} */
    public static function evidence(Evidence $evidence): array
    {
        return ['value' => $evidence->value, 'label' => $evidence->label(), 'proof' => $evidence->isProof()];
    }

    /** @return array<string, mixed> */
    private static function conductor(Conductor $conductor): array
    {
        return [
            'number' => $conductor->number, 'colour' => $conductor->colour->value, 'stripe' => $conductor->stripe?->value,
            'near' => $conductor->near->toArray(), 'far' => $conductor->far->toArray(), 'evidence' => self::evidence($conductor->evidence),
            'splice' => $conductor->colourAfterSplice?->value, 'spare' => $conductor->isSpare(), 'line' => self::line($conductor),
        ];
    }

    /** The one-line entry that describes this conductor, to be changed and sent again. */
    private static function line(Conductor $conductor): string
    {
        $end = static fn (?string $terminal, string $state): string => $terminal ?? match ($state) {
            'capped' => 'cap', 'spare' => '-', default => $state,
        };
        $flag = match ($conductor->evidence) {
            Evidence::Traced => ' !', Evidence::Seen => ' seen', Evidence::ColourOnly => ' ?', Evidence::Unknown => '',
        };
        $colour = $conductor->colour->value.($conductor->stripe === null ? '' : '/'.$conductor->stripe->value);
        $splice = $conductor->colourAfterSplice === null ? '' : ' splice '.$conductor->colourAfterSplice->value;

        return "{$colour} {$end($conductor->near->terminal, $conductor->near->state->value)}>{$end($conductor->far->terminal, $conductor->far->state->value)}{$flag}{$splice}";
    }
}
