<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Contacts;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LeadLifted;
use Unionbit\Core\Asked\Thing\LiftedEnd;
use Unionbit\Core\Asked\Thing\LinkTurned;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Asked\Thing\Unplugged;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Terminal\Place;

/** What some hands hold that others do not: each as the place, the movement and its minutes. */
final readonly class Movements
{
    /** @var array<string, Thing> */
    private array $only;

    public function __construct(
        private Circuit $circuit,
        private Contacts $points,
        private Hands $these,
        private Hands $others,
    ) {
        $this->only = array_diff_key($these->things->all, $others->things->all);
    }

    /** @return list<array{Place, array<string, mixed>, float}> */
    public function jumpers(string $verb, float $minutes): array
    {
        $moves = [];
        foreach ($this->only as $thing) {
            if ($thing instanceof Jumper) {
                $ends = [$thing->a->id, $thing->b->id];
                $moves[] = [$this->points->placeOf($thing->a), [$verb => $ends], $minutes];
            }
        }

        return $moves;
    }

    /** @return list<array{Place, array<string, mixed>, float}> conductor ends and leads of loads */
    public function ends(string $verb, float $minutes): array
    {
        $moves = [];
        foreach ($this->only as $thing) {
            $end = match (true) {
                $thing instanceof LiftedEnd => $thing->end,
                $thing instanceof LeadLifted => $thing->at(),
                default => null,
            };
            if ($end !== null) {
                $moves[] = [$this->points->placeOf($end), [$verb => $end->id], $minutes];
            }
        }

        return $moves;
    }

    /** @return list<array{Place, array<string, mixed>, float}> every conductor of a place together */
    public function places(string $verb, float $minutes): array
    {
        $moves = [];
        foreach ($this->only as $thing) {
            if ($thing instanceof Unplugged) {
                $moves[] = [$thing->place, [$verb => $thing->place->value], $minutes];
            }
        }

        return $moves;
    }

    /**
     * @param  float  $minutes  of the face alone
     * @param  float  $bare  of the whole thermostat off its wires, or back on them
     * @return list<array{Place, array<string, mixed>, float}>
     */
    public function face(float $minutes, float $bare): array
    {
        [$face, $was] = [$this->these->face(), $this->others->face()];

        return $face === $was
            ? []
            : [
                [
                    Place::Wall,
                    ['face' => $face->value],
                    in_array(Face::Bare, [$face, $was], true) ? $bare : $minutes,
                ],
            ];
    }

    /** @return list<array{Place, array<string, mixed>, float}> */
    public function link(float $minutes): array
    {
        [$in, $was] = [$this->linkOf($this->these), $this->linkOf($this->others)];

        return $in === $was
            ? []
            : [[Place::Wall, ['link' => $in ?? $this->circuit->landing->linkIn ? 'in' : 'out'], $minutes]];
    }

    /** Null where nobody has said it. */
    private function linkOf(Hands $hands): ?bool
    {
        $link = $hands->things->each(LinkTurned::class)[0] ?? null;

        return $link?->isIn($this->circuit);
    }

    /** @return list<string> supplies with the test breaker in */
    public function breakers(): array
    {
        return array_values(array_diff($this->these->breakers(), $this->others->breakers()));
    }
}
