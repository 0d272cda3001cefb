<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault\Site;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\OnScrew;
use Unionbit\Core\Point\Part;

/** What of a house one fault befalls: a part, two points that touch or are swapped, an end on a wrong screw. */
final readonly class Site
{
    /**
     * @param  string  $name  in the fault's id; empty where nothing is named
     * @param  list<string>  $of  what each of it is: parts, conductors, points
     * @param  list<At>  $points  both points, of a pair
     */
    private function __construct(public string $name, public array $of, public array $points)
    {
    }

    public static function nothing(): self
    {
        return new self('', [], []);
    }

    public static function part(Part $part): self
    {
        return new self($part->id, [$part->id], []);
    }

    /** Two points, each by the name of what it belongs to. */
    public static function pair(string $one, string $other, At $a, At $b): self
    {
        return new self("{$one}~{$other}", [$one, $other], [$a, $b]);
    }

    /** Two points that go by one name: a conductor and the metal, a switch and its other side. */
    public static function both(string $name, At $a, At $b): self
    {
        return new self($name, [$name], [$a, $b]);
    }

    /** An end on a screw that is not its own. */
    public static function move(At $end, At $screw): self
    {
        return new self((new OnScrew($end->id, $screw->id))->text(), [$end->id, $screw->id], [$end, $screw]);
    }

    /**
     * What a repair of this kind is done at.
     *
     * @param  array<string, Element>  $elements
     */
    public function subject(array $elements): string
    {
        return ($elements[$this->name] ?? null)->subject ?? $this->name;
    }

    /**
     * The end that a repair is done at.
     *
     * @param  array<string, Element>  $elements
     */
    public function end(array $elements): string
    {
        return ($elements[$this->name] ?? null)->a ?? ($this->of[0] ?? '');
    }
}
