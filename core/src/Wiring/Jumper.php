<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Terminal\Place;

/** A short piece of wire, link or tie between two terminals at one place. */
final readonly class Jumper
{
    /**
     * @param  string  $a  terminal as printed
     * @param  string  $b  terminal as printed
     * @param  string  $label  "J1", "Rc–Rh link"
     */
    public function __construct(public Place $place, public string $a, public string $b, public string $label)
    {
    }
}
