<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Contacts;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LinkTurned;
use Unionbit\Core\Asked\Thing\Unplugged;
use Unionbit\Core\Asked\Things;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;

/** What some hands hold that others do not: each as the place, the movement and its minutes. */
final readonly class Movements
{
    private Things $only;

    public function __construct(
        private Circuit $circuit,
        private Contacts $points,
        private Hands $these,
        private Hands $others,
    ) {
        $this->only = $these->things->beyond($others->things);
    }

    /** @return list<array{Place, array<string, mixed>, float}> */
    public function jumpers(string $verb, float $minutes): array
    {
        return array_map(
            fn (Jumper $j): array => [$this->points->placeOf($j->a), [$verb => $j->names()], $minutes],
            $this->only->each(Jumper::class),
        );
    }

    /** @return list<array{Place, array<string, mixed>, float}> conductor ends and leads of loads */
    public function ends(string $verb, float $minutes): array
    {
        return array_map(
            fn (At $end): array => [$this->points->placeOf($end), [$verb => $end->id], $minutes],
            $this->only->lifted(),
        );
    }

    /** @return list<array{Place, array<string, mixed>, float}> every conductor of a place together */
    public function places(string $verb, float $minutes): array
    {
        return array_map(
            static fn (Unplugged $u): array => [$u->place, [$verb => $u->place->value], $minutes],
            $this->only->each(Unplugged::class),
        );
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
