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

    /**
     * A tie that a plan adds, under the label that job files know it by: "W–W2 tie".
     *
     * @param  bool  $at  whether the label says that it is at the board
     */
    public static function tie(Place $place, string $a, string $b, bool $at = false): self
    {
        return new self($place, $a, $b, "{$a}–{$b} tie".($at ? ' at the board' : ''));
    }
}
