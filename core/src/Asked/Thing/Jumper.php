<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Words\Message;

/** A jumper between two points. */
final readonly class Jumper implements Thing
{
    public function __construct(public At $a, public At $b)
    {
    }

    public function kind(): ThingKind
    {
        return ThingKind::Jumper;
    }

    /** The same either way round. */
    public function key(): string
    {
        return ThingKind::Jumper->key($this->a->id, $this->b->id);
    }

    public function isOf(Circuit $circuit): bool
    {
        return ! $this->a->is($this->b) && self::reaches($circuit, $this->a) && self::reaches($circuit, $this->b);
    }

    private static function reaches(Circuit $circuit, At $at): bool
    {
        return ($circuit->atRest()->points[$at->id] ?? null)?->probeable === true;
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup->withJumper($this->a->id, $this->b->id);
    }

    public function label(Circuit $circuit): Message
    {
        return self::together($circuit, $this->a, [$this->b]);
    }

    public function names(): array
    {
        return [$this->a->id, $this->b->id];
    }

    /**
     * Jumpers from one point, said together.
     *
     * @param  non-empty-list<At>  $to
     */
    public static function together(Circuit $circuit, At $from, array $to): Message
    {
        $points = $circuit->atRest()->points;
        $place = static fn (At $at): ?string => ($points[$at->id] ?? null)?->place?->value;
        $name = static fn (At $at): Message => $points[$at->id]->label ?? Message::raw($at->id);
        if (array_all($to, static fn (At $at): bool => $place($at) === $place($from))) {
            return Message::of(
                'circuit.standing.jumper-at',
                a: $name($from),
                b: array_map($name, $to),
                place: ($points[$from->id] ?? null)->where ?? Message::raw(''),
            );
        }
        $phrase = static fn (At $at): Message => isset($points[$at->id])
            ? $points[$at->id]->phrase()
            : Message::raw($at->id);

        return Message::of('circuit.standing.jumper', a: $phrase($from), b: array_map($phrase, $to));
    }
}
