<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Standing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Words\Message;

/** Everything temporary that stands: circuit, meter, pattern and the list of what has to go back read it. */
final readonly class Strip
{
    /** More lifted ends than this are counted, not named. */
    private const MOST_ENDS = 3;

    /** @param  array<string, Thing>  $things  by their keys */
    private function __construct(public array $things = [])
    {
    }

    public static function empty(): self
    {
        return new self();
    }

    /** What a set-up of its own has put on: its face, jumpers and lifted ends. */
    public static function ofSetup(Setup $setup): self
    {
        $strip = $setup->faceOff ? (new self())->with(new Thing(ThingKind::FaceOff)) : new self();
        foreach ($setup->jumpers as [$a, $b]) {
            $strip = $strip->with(new Thing(ThingKind::Jumper, $a, $b));
        }
        foreach ($setup->lifted as $end) {
            $strip = $strip->with(new Thing(ThingKind::Lift, $end));
        }

        return $strip;
    }

    public function with(Thing $thing): self
    {
        return new self([...$this->things, $thing->key() => $thing]);
    }

    public function without(Thing $thing): self
    {
        return new self(array_diff_key($this->things, [$thing->key() => true]));
    }

    public function has(Thing $thing): bool
    {
        return isset($this->things[$thing->key()]);
    }

    /** The set-up with all of it in place; what this circuit no longer has, changes nothing in it. */
    public function on(Setup $setup, Circuit $circuit): Setup
    {
        foreach ($this->things as $thing) {
            $setup = $thing->isOf($circuit) ? $thing->on($setup, $circuit) : $setup;
        }

        return $setup;
    }

    /** Whether the circuit is another one than the house's own. */
    public function alters(): bool
    {
        return array_any($this->things, static fn (Thing $t): bool => $t->kind->alters());
    }

    /** @return list<Message> jumpers from one point together, and all lifted ends */
    public function labels(Circuit $circuit): array
    {
        $of = fn (ThingKind $kind): array => array_values(
            array_filter($this->things, static fn (Thing $t): bool => $t->kind === $kind),
        );
        $jumpers = [];
        foreach ($of(ThingKind::Jumper) as $thing) {
            $jumpers[$thing->a][] = $thing->b;
        }
        $lifts = array_map(static fn (Thing $t): string => $t->a, $of(ThingKind::Lift));
        $rest = array_filter(
            $this->things,
            static fn (Thing $t): bool => $t->kind !== ThingKind::Jumper && $t->kind !== ThingKind::Lift,
        );

        return [
            ...array_values(array_map(static fn (Thing $t): Message => $t->label($circuit), $rest)),
            ...array_map(
                static fn (array $to, int|string $from): Message => Thing::jumpers($circuit, (string) $from, $to),
                $jumpers,
                array_keys($jumpers),
            ),
            ...match (true) {
                $lifts === [] => [],
                count($lifts) > self::MOST_ENDS => [
                    Message::of('circuit.standing.lifted-ends', ends: count($lifts)),
                ],
                default => [Thing::lifted($circuit, $lifts)],
            },
        ];
    }
}
