<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\SourceScaled;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** One supply without its line, where the others have it. */
final readonly class SupplyOff implements Thing
{
    public function __construct(public string $supply)
    {
    }

    public function kind(): null
    {
        return null;
    }

    public function key(): string
    {
        return "off:{$this->supply}";
    }

    public function isOf(Circuit $circuit): bool
    {
        return isset($circuit->atRest()->elements[$this->supply]);
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup->with(new SourceScaled(Part::named($this->supply), 0.0));
    }

    public function label(Circuit $circuit): Message
    {
        return Message::of('circuit.standing.switch', which: $circuit->partName($this->supply));
    }

    public function names(): array
    {
        return [$this->supply];
    }
}
