<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\World;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Standing\Strip;
use Unionbit\Core\Circuit\Standing\Thing;
use Unionbit\Core\Circuit\Standing\ThingKind;
use Unionbit\Core\Tracing\Test\Face;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Wiring\Conductor;

/** The strip of what stands on a house as the set-up of a test, and the other way round. */
final readonly class StripSetup
{
    public function __construct(private Circuit $circuit, private Points $points)
    {
    }

    public function of(Strip $strip, CallName $call, bool $isolated): TestSetup
    {
        $jumpers = $lifted = $breaker = $held = [];
        $link = null;
        $face = Face::On;
        foreach ($strip->things as $thing) {
            match ($thing->kind) {
                ThingKind::FaceOff => ($face = Face::Off),
                ThingKind::Jumper => ($jumpers[] = [$thing->a, $thing->b]),
                ThingKind::Lift => ($lifted[] = $thing->a),
                ThingKind::Plug => array_push($lifted, ...$this->endsOf($thing)),
                ThingKind::Coil => ($lifted[] = "{$thing->a}.hot"),
                ThingKind::Breaker => ($breaker[] = $thing->a),
                ThingKind::Door => ($held[] = 'door'),
                ThingKind::Link => ($link = ! $this->circuit->landing->linkIn),
                ThingKind::Switch => null,
            };
        }

        return new TestSetup(
            call: $call,
            isolated: $isolated,
            jumpers: $jumpers,
            lifted: $lifted,
            face: $face,
            breaker: $breaker,
            held: $held,
            link: $link,
        );
    }

    /** @return list<string> */
    private function endsOf(Thing $plug): array
    {
        [$cable, $side] = [...explode('.', $plug->a), ''];
        $ends = array_map(
            static fn (Conductor $c): string => "{$c->id()}.{$side}",
            $this->circuit->installation->cable($cable)->conductors ?? [],
        );
        $elements = $this->circuit->netlist(Setup::calling())->elements;

        return array_values(array_filter($ends, static fn (string $e): bool => isset($elements["{$e}.joint"])));
    }

    /** @return array<string, Thing> what has to stand for a test, by key */
    public function things(TestSetup $setup): array
    {
        return $this->said($this->points->plain($setup));
    }

    /** @return array<string, Thing> the same, a thermostat off its wires left to be said apart */
    public function said(TestSetup $plain): array
    {
        $id = fn (string $name): string => $this->points->of($name) ?? $name;
        $things = $plain->face === Face::Off ? [new Thing(ThingKind::FaceOff)] : [];
        foreach ($plain->jumpers as [$a, $b]) {
            $things[] = new Thing(ThingKind::Jumper, $id($a), $id($b));
        }
        $elements = $this->circuit->netlist(Setup::calling())->elements;
        foreach ($plain->lifted as $end) {
            $load = $this->points->leadOf($end);
            $things[] =
                $load !== null && ($elements[$load]->kind ?? null) === ElementKind::Load
                    ? new Thing(ThingKind::Coil, $load)
                    : new Thing(ThingKind::Lift, $end);
        }
        foreach ($plain->breaker as $id) {
            $things[] = new Thing(ThingKind::Breaker, $id);
        }
        if ($plain->held !== []) {
            $things[] = new Thing(ThingKind::Door);
        }
        if ($plain->link !== null && $plain->link !== $this->circuit->landing->linkIn) {
            $things[] = new Thing(ThingKind::Link);
        }

        return array_combine(array_map(static fn (Thing $t): string => $t->key(), $things), $things);
    }
}
