<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** Every conductor off its screw at one place; of a module at the equipment its short leads to the board. */
final readonly class Unplugged implements Thing
{
    public function __construct(public Place $place)
    {
    }

    public function kind(): null
    {
        return null;
    }

    public function key(): string
    {
        return "unplugged:{$this->place->value}";
    }

    public function isOf(Circuit $circuit): bool
    {
        return $circuit->endsAt($this->place) !== [] || $this->leads($circuit) !== [];
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        $leads = array_map(static fn (string $id): Opened => new Opened(Part::named($id)), $this->leads($circuit));

        return $setup->lifting(...At::ids(...$circuit->endsAt($this->place)))->with(...$leads);
    }

    /** @return list<string> */
    private function leads(Circuit $circuit): array
    {
        $rest = $circuit->atRest();

        return $this->place === Place::Module
            ? $rest->ids(
                ElementKind::Wire,
                static fn (Element $e): bool => $rest->point($e->a)->place === Place::Module,
            )
            : [];
    }

    public function label(Circuit $circuit): Message
    {
        $ends = $circuit->endsAt($this->place);

        return $ends === []
            ? Message::of('circuit.standing.leads-off', place: $circuit->installation->placeName($this->place))
            : LiftedEnd::together($circuit, $ends);
    }

    public function names(): array
    {
        return [$this->place->value];
    }
}
