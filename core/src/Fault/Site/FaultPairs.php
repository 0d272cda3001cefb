<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault\Site;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;

/** Pairs of points of a house that can touch, be swapped or be mistaken, by the fault catalogue's words for them. */
final readonly class FaultPairs
{
    public function __construct(
        private Installation $installation,
        private Netlist $netlist,
        private FaultSites $sites,
    ) {
    }

    /** @return list<Site> pairs of points that can touch */
    public function touching(string $of): array
    {
        return match ($of) {
            'pair' => $this->conductors(static fn (Cable $c): bool => ! $c->to->isOutdoors()),
            'outdoor-pair' => $this->conductors(static fn (Cable $c): bool => $c->to->isOutdoors()),
            'screws' => $this->neighbours(),
            'cabinet' => $this->toCabinet(),
            'leak' => $this->leaks(),
            'to-common' => $this->toCommon(),
            'inside-metal' => $this->insideMetal(),
            'hots' => $this->hots(),
            'spares' => $this->spares(),
            'load' => $this->supplies(),
            default => throw new \LogicException("No pairs are called {$of}."),
        };
    }

    /** @return list<Site> pairs of landed ends that can be swapped */
    public function ends(string $end): array
    {
        $ends = [];
        foreach ($this->sites->elements($end === Side::Near->value ? 'joint-near' : 'joint-far') as $part) {
            $joint = $this->netlist->element($part->id);
            $ends[$joint->subject] = At::read($joint->a);
        }

        return self::pairsOf($ends);
    }

    /** @return list<Site> an end and the screw that it is wrongly on */
    public function moves(string $of): array
    {
        $hots = array_column($this->installation->archetype->transformers, 'hot');
        $commons = array_column($this->installation->archetype->transformers, 'common');
        $near = array_map(
            fn (Part $p): Element => $this->netlist->element($p->id),
            $this->sites->elements('joint-near'),
        );
        $moves = [];
        foreach ($near as $n => $joint) {
            $wrong = $of === 'c-on-r' ? [] : [$near[($n + 1) % count($near)]];
            foreach (
                $of === 'c-on-r' && in_array($this->farScrew($joint->subject), $commons, true) ? $near : [] as $r
            ) {
                $wrong = in_array($this->farScrew($r->subject), $hots, true) ? [...$wrong, $r] : $wrong;
            }
            foreach ($wrong as $other) {
                if ($other !== $joint) {
                    $moves[] = Site::move(At::read($joint->a), At::read($other->b));
                }
            }
        }

        return $moves;
    }

    /** Where the far end of a conductor is landed; null where it is not. */
    private function farScrew(string $conductor): ?string
    {
        return ($this->netlist->elements[Part::joint(At::far($conductor))->id] ?? null)?->b;
    }

    /**
     * @param  callable(Cable): bool  $which
     * @return list<Site> conductors of one cable with each other
     */
    private function conductors(callable $which): array
    {
        $pairs = [];
        foreach (array_filter($this->installation->cables, $which) as $cable) {
            $middles = [];
            foreach ($cable->conductors as $conductor) {
                $middles[$conductor->id()] = At::middle($conductor->id());
            }
            array_push($pairs, ...self::pairsOf($middles));
        }

        return $pairs;
    }

    /** @return list<Site> screws beside each other on the plate */
    private function neighbours(): array
    {
        $screws = [];
        foreach ($this->netlist->points as $point) {
            if ($point->kind === PointKind::Screw && $point->place === Place::Wall) {
                $screws[] = At::read($point->id);
            }
        }
        $pairs = [];
        for ($n = 1, $count = count($screws); $n < $count; $n++) {
            $pairs[] = Site::pair($screws[$n - 1]->id, $screws[$n]->id, $screws[$n - 1], $screws[$n]);
        }

        return $pairs;
    }

    /** @return list<Site> */
    private function toCabinet(): array
    {
        $pairs = [];
        foreach ($this->installation->cables as $cable) {
            foreach ($cable->conductors as $conductor) {
                $id = $conductor->id();
                $pairs[] = Site::both($id, At::middle($id), $this->metal($cable->to));
            }
        }

        return $pairs;
    }

    /** The sheet metal at a place; where no unit stands there, that of the indoor unit. */
    private function metal(Place $place): At
    {
        return isset($this->netlist->points[At::metal($place)->id]) ? At::metal($place) : At::metal();
    }

    /** @return list<Site> the hots of two transformers, where nothing joins them yet */
    private function hots(): array
    {
        $hots = array_column($this->installation->archetype->transformers, 'hot');

        return count($hots) < 2 ? [] : [Site::pair('Rc', 'Rh', At::read($hots[0]), At::read($hots[1]))];
    }

    /** @return list<Site> hot and common of each supply */
    private function supplies(): array
    {
        return array_map(
            static fn (Transformer $t): Site => Site::both($t->id, At::read($t->hot), At::read($t->common)),
            $this->installation->archetype->transformers,
        );
    }

    /** @return list<Site> free ends at the wall with the end beside them */
    private function spares(): array
    {
        $conductors = $this->installation->wallConductors();
        $pairs = [];
        foreach ($conductors as $n => $conductor) {
            $end = At::near($conductor->id());
            if ($n > 0 && ! isset($this->netlist->elements[Part::joint($end)->id])) {
                $before = At::near($conductors[$n - 1]->id());
                $pairs[] = Site::pair($before->id, $end->id, $before, $end);
            }
        }

        return $pairs;
    }

    /** @return list<Site> each conductor of a cable with the one on the common in it */
    private function toCommon(): array
    {
        $commons = array_column($this->installation->archetype->transformers, 'common');
        $pairs = [];
        foreach ($this->installation->cables as $cable) {
            $on =
                array_values(
                    array_filter(
                        $cable->conductors,
                        fn (Conductor $c): bool => in_array($this->farScrew($c->id()), $commons, true),
                    ),
                )[0] ?? null;
            foreach ($cable->conductors as $conductor) {
                if ($on !== null && $conductor !== $on) {
                    [$own, $common] = [$conductor->id(), $on->id()];
                    $pairs[] = Site::pair($own, $common, At::middle($own), At::middle($common));
                }
            }
        }

        return $pairs;
    }

    /** @return list<Site> leads inside a unit, step by step of its switches, to its metal */
    private function insideMetal(): array
    {
        $pairs = [];
        foreach ($this->netlist->points as $point) {
            if ($point->kind === PointKind::Inside && $point->probeable && $point->place !== null) {
                $pairs[] = Site::both($point->id, At::read($point->id), $this->metal($point->place));
            }
        }

        return $pairs;
    }

    /** @return list<Site> each plate switch with something across it */
    private function leaks(): array
    {
        $pairs = [];
        foreach ($this->sites->elements('switch') as $part) {
            $switch = $this->netlist->element($part->id);
            $pairs[] = Site::both($switch->subject, At::read($switch->a), At::read($switch->b));
        }

        return $pairs;
    }

    /**
     * @param  array<string, At>  $points  by the name of what each belongs to
     * @return list<Site> every pair
     */
    private static function pairsOf(array $points): array
    {
        $pairs = [];
        $names = array_keys($points);
        foreach ($names as $n => $one) {
            foreach (array_slice($names, $n + 1) as $other) {
                $pairs[] = Site::pair($one, $other, $points[$one], $points[$other]);
            }
        }

        return $pairs;
    }
}
