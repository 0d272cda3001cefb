<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Standing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\Closed;
use Unionbit\Core\Circuit\Edit\FuseBridged;
use Unionbit\Core\Circuit\Edit\LeadOff;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/** One temporary thing as it stands: a jumper between two points, a lifted end, a coil's lead off. */
final readonly class Thing
{
    /**
     * @param  string  $a  point; the tip of the lifted end, "A4.near"; the end of a whole cable, "B.far"; the load
     *     whose lead is off; the transformer
     * @param  string  $b  the other point of a jumper
     */
    public function __construct(public ThingKind $kind, public string $a = '', public string $b = '')
    {
    }

    /** The same for two that are the same, a jumper either way round. */
    public function key(): string
    {
        $ends = [$this->a, $this->b];
        sort($ends);

        return $this->kind->value.':'.implode('~', array_filter($ends));
    }

    /** Whether this circuit has what it is put on. */
    public function isOf(Circuit $circuit): bool
    {
        $net = $circuit->netlist(Setup::calling());
        $point = static fn (string $id): bool => isset($net->points[$id]) && $net->points[$id]->probeable;

        return match ($this->kind) {
            ThingKind::Jumper => $this->a !== $this->b && $point($this->a) && $point($this->b),
            ThingKind::Lift => isset($net->elements["{$this->a}.joint"]),
            ThingKind::Plug => array_any(
                $this->ends($circuit),
                static fn (string $e): bool => isset($net->elements["{$e}.joint"]),
            ),
            ThingKind::Coil => ($net->elements[$this->a]->kind ?? null) === ElementKind::Load,
            ThingKind::Breaker => ($net->elements[$this->a]->kind ?? null) === ElementKind::Winding,
            ThingKind::Link => $circuit->profile->link !== null,
            ThingKind::Door => $circuit->installation->archetype->doorSwitch,
            ThingKind::FaceOff => true,
            ThingKind::Switch => match (LineSwitch::tryFrom($this->a)?->isIndoors()) {
                true => true,
                false => self::isOutdoors($circuit),
                null => false,
            },
        };
    }

    /** The set-up with it in place. */
    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return match ($this->kind) {
            ThingKind::FaceOff => $setup->faceOff(),
            ThingKind::Jumper => $setup->withJumper($this->a, $this->b),
            ThingKind::Lift => $setup->lifting($this->a),
            ThingKind::Plug => $setup->lifting(...$this->ends($circuit)),
            ThingKind::Coil => $setup->with(new LeadOff(Part::named($this->a))),
            ThingKind::Breaker => $setup->with(...self::breaker($this->a)),
            ThingKind::Link => self::linked($setup, $circuit, ! $circuit->landing->linkIn),
            ThingKind::Door, ThingKind::Switch => $setup,
        };
    }

    /** As it is said on the strip: "jumper R at the wall plate to G at the wall plate". */
    public function label(Circuit $circuit): Message
    {
        $net = $circuit->netlist(Setup::calling());

        return match ($this->kind) {
            ThingKind::FaceOff => Message::of('circuit.standing.face-off'),
            ThingKind::Jumper => self::jumpers($circuit, $this->a, [$this->b]),
            ThingKind::Lift => self::lifted($circuit, [$this->a]),
            ThingKind::Plug => $this->pulled($circuit),
            ThingKind::Coil => Message::of('circuit.standing.coil', load: self::part($net, $this->a)),
            ThingKind::Breaker => Message::of('circuit.standing.breaker', supply: self::part($net, $this->a)),
            ThingKind::Link => Message::of(
                $circuit->landing->linkIn ? 'circuit.standing.link-out' : 'circuit.standing.link-in',
            ),
            ThingKind::Door => Message::of('circuit.standing.door'),
            ThingKind::Switch => Message::of(
                'circuit.standing.switch',
                which: LineSwitch::tryFrom($this->a)?->label() ?? Message::raw($this->a),
            ),
        };
    }

    /** @return list<CircuitEdit> the test breaker in the place of a transformer's fuse, whole or open: it holds */
    public static function breaker(string $transformer): array
    {
        return [new Closed(Part::fuse($transformer)), new FuseBridged(Part::fuse($transformer))];
    }

    /** The set-up with the link between the two hots in or out by hand; as it is where there is none. */
    public static function linked(Setup $setup, Circuit $circuit, bool $in): Setup
    {
        $ends = $circuit->profile->linkPoints();

        return match (true) {
            $ends === null || $in === $circuit->landing->linkIn => $setup,
            $in => $setup->withJumper(...$ends),
            default => $setup->with(new Opened(Part::link())),
        };
    }

    private static function isOutdoors(Circuit $circuit): bool
    {
        return array_any(
            $circuit->netlist(Setup::calling())->points,
            static fn (Point $p): bool => $p->place === Place::Outdoor,
        );
    }

    /** @return list<string> the ends of every conductor of a cable there */
    private function ends(Circuit $circuit): array
    {
        [$cable, $side] = [...explode('.', $this->a), ''];

        return array_map(
            static fn (Conductor $c): string => "{$c->id()}.{$side}",
            $circuit->installation->cable($cable)->conductors ?? [],
        );
    }

    private function pulled(Circuit $circuit): Message
    {
        [$id, $side] = [...explode('.', $this->a), ''];
        $cable = $circuit->installation->cable($id);
        $place = $side === 'near' ? $cable?->from : $cable?->to;

        return Message::of(
            'circuit.standing.plug',
            cable: $id,
            place: $place === null ? Message::raw($side) : $circuit->installation->placeName($place),
        );
    }

    /** @param  list<string>  $to  points that are joined to the first */
    public static function jumpers(Circuit $circuit, string $from, array $to): Message
    {
        $net = $circuit->netlist(Setup::calling());
        $here = array_filter($to, static fn (string $p): bool => self::place($net, $p) === self::place($net, $from));

        return $here === $to
            ? Message::of(
                'circuit.standing.jumper-at',
                a: self::name($net, $from),
                b: array_map(static fn (string $p): Message => self::name($net, $p), $to),
                place: $net->points[$from]->where ?? Message::raw(self::place($net, $from)),
            )
            : Message::of(
                'circuit.standing.jumper',
                a: self::at($net, $from),
                b: array_map(static fn (string $p): Message => self::at($net, $p), $to),
            );
    }

    /** @param  list<string>  $ends  tips */
    public static function lifted(Circuit $circuit, array $ends): Message
    {
        $net = $circuit->netlist(Setup::calling());

        return Message::of(
            'circuit.standing.lifted',
            ends: array_map(static fn (string $p): Message => self::at($net, $p), $ends),
        );
    }

    private static function place(Netlist $net, string $point): string
    {
        return $net->points[$point]->place->value ?? '';
    }

    private static function name(Netlist $net, string $point): Message
    {
        return isset($net->points[$point]) ? $net->points[$point]->label : Message::raw($point);
    }

    private static function at(Netlist $net, string $point): Message
    {
        return isset($net->points[$point]) ? $net->points[$point]->phrase() : Message::raw($point);
    }

    private static function part(Netlist $net, string $id): Message
    {
        return isset($net->elements[$id]) ? $net->elements[$id]->label : Message::raw($id);
    }
}
