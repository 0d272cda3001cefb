<?php

declare(strict_types=1);

namespace App\House;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Words\Message;

/** Conductors of the survey's ledger, as the screen reads them. */
final class ConductorView
{
    /** @return array<string, mixed> */
    public static function cable(Cable $cable, Installation $house): array
    {
        return [
            'id' => $cable->id,
            'label' => $cable->label(),
            'from' => $cable->from->value,
            'to' => $cable->to->value,
            'fromLabel' => $house->placeName($cable->from),
            'toLabel' => $house->placeName($cable->to),
            'proved' => count(
                array_filter($cable->conductors, static fn (Conductor $c): bool => $c->evidence->isProof()),
            ),
            'gauge' => $cable->gauge,
            'feet' => $cable->feet,
            'run' => $cable->run?->value,
            'conductors' => array_map(self::conductor(...), $cable->conductors),
        ];
    }

    /** @return array{value: string, label: Message, proof: bool} */
    public static function evidence(Evidence $evidence): array
    {
        return ['value' => $evidence->value, 'label' => $evidence->label(), 'proof' => $evidence->isProof()];
    }

    /**
     * The insulation: keys for the ink, and the words for them.
     *
     * @return array{colour: ?string, stripe: ?string, colourWord: ?Message, stripeWord: ?Message}
     */
    public static function insulation(?Colour $colour, ?Colour $stripe): array
    {
        return [
            'colour' => $colour?->value,
            'stripe' => $stripe?->value,
            'colourWord' => $colour === null ? null : Message::term($colour),
            'stripeWord' => $stripe === null ? null : Message::term($stripe),
        ];
    }

    /** @return array<string, mixed> */
    private static function conductor(Conductor $conductor): array
    {
        return [
            'number' => $conductor->number,
            ...self::insulation($conductor->colour, $conductor->stripe),
            'near' => $conductor->near->toArray(),
            'far' => $conductor->far->toArray(),
            'evidence' => self::evidence($conductor->evidence),
            'condition' => self::condition($conductor->condition, $conductor->touches),
            'loopOhms' => $conductor->loopOhms,
            'splice' => $conductor->colourAfterSplice?->value,
            'spare' => $conductor->isSpare(),
            'line' => self::line($conductor),
        ];
    }

    /**
     * What is wrong with a conductor, in words.
     *
     * @param  list<Condition>  $condition
     * @param  list<int>  $touches
     * @return list<Message>
     */
    public static function condition(array $condition, array $touches): array
    {
        return [
            ...array_map(static fn (Condition $c): Message => $c->label(), $condition),
            ...array_map(
                static fn (int $n): Message => Message::of('house.conductor-view.touches', number: $n),
                $touches,
            ),
        ];
    }

    /** The one-line entry that describes this conductor, to be changed and sent again. */
    private static function line(Conductor $conductor): string
    {
        $end = static fn (End $end): string => $end->terminal !== null &&
        preg_match('/^[A-Za-z0-9\/]+$/', $end->terminal) !== 1
            ? "\"{$end->terminal}\""
            : $end->terminal ??
                match (true) {
                    $end->onto !== null => "@{$end->onto}",
                    $end->state->value === 'capped' => 'cap',
                    $end->state->value === 'spare' => '-',
                    default => $end->state->value,
                };
        $flag = match ($conductor->evidence) {
            Evidence::Traced => ' !',
            Evidence::Seen => ' seen',
            Evidence::ColourOnly => ' ?',
            Evidence::Unknown => '',
        };
        $colour = $conductor->colour->value.($conductor->stripe === null ? '' : '/'.$conductor->stripe->value);
        $splice = $conductor->colourAfterSplice === null ? '' : " splice {$conductor->colourAfterSplice->value}";

        $condition = implode(
            '',
            array_map(static fn (Condition $c): string => " {$c->value}", $conductor->condition),
        );
        $touches = implode('', array_map(static fn (int $n): string => " touch{$n}", $conductor->touches));
        $ohms = $conductor->loopOhms === null ? '' : " {$conductor->loopOhms}ohm";

        return "{$colour} {$end(
            $conductor->near,
        )}>{$end($conductor->far)}{$flag}{$splice}{$condition}{$touches}{$ohms}";
    }
}
