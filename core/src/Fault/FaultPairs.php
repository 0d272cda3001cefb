<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
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

    /** @return array<string, array{string, string}> pairs of points that can touch, by name */
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

    /** @return array<string, array{string, string}> pairs of landed ends that can be swapped */
    public function ends(string $end): array
    {
        $ends = [];
        foreach ($this->sites->elements("joint-{$end}") as $id) {
            $joint = $this->netlist->element($id);
            $ends[$joint->subject] = $joint->a;
        }

        return self::pairsOf($ends);
    }

    /** @return array<string, array{string, string}> an end and the screw that it is wrongly on, by name */
    public function moves(string $of): array
    {
        $hots = array_column($this->installation->archetype->transformers, 'hot');
        $commons = array_column($this->installation->archetype->transformers, 'common');
        $near = array_map($this->netlist->element(...), $this->sites->elements('joint-near'));
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
                    $moves["{$joint->a}>{$other->b}"] = [$joint->a, $other->b];
                }
            }
        }

        return $moves;
    }

    /** Where the far end of a conductor is landed; null where it is not. */
    private function farScrew(string $conductor): ?string
    {
        return ($this->netlist->elements["{$conductor}.far.joint"] ?? null)?->b;
    }

    /**
     * @param  callable(Cable): bool  $which
     * @return array<string, array{string, string}> conductors of one cable with each other
     */
    private function conductors(callable $which): array
    {
        $pairs = [];
        foreach (array_filter($this->installation->cables, $which) as $cable) {
            $middles = [];
            foreach ($cable->conductors as $conductor) {
                $middles[$conductor->id()] = "{$conductor->id()}.mid";
            }
            $pairs += self::pairsOf($middles);
        }

        return $pairs;
    }

    /** @return array<string, array{string, string}> screws beside each other on the plate */
    private function neighbours(): array
    {
        $screws = [];
        foreach ($this->netlist->points as $point) {
            if ($point->kind === PointKind::Screw && $point->place === Place::Wall) {
                $screws[] = $point->id;
            }
        }
        $pairs = [];
        for ($n = 1, $count = count($screws); $n < $count; $n++) {
            $pairs[$screws[$n - 1].'~'.$screws[$n]] = [$screws[$n - 1], $screws[$n]];
        }

        return $pairs;
    }

    /** @return array<string, array{string, string}> */
    private function toCabinet(): array
    {
        $pairs = [];
        foreach ($this->installation->cables as $cable) {
            foreach ($cable->conductors as $conductor) {
                $pairs[$conductor->id()] = ["{$conductor->id()}.mid", $this->metal($cable->to)];
            }
        }

        return $pairs;
    }

    /** The sheet metal at a place; where no unit stands there, that of the indoor unit. */
    private function metal(Place $place): string
    {
        $metal = '';
        foreach ($this->netlist->points as $point) {
            if (
                $point->kind === PointKind::Metal &&
                ($point->place === $place || ($metal === '' && $point->place === Place::Indoor))
            ) {
                $metal = $point->id;
            }
        }

        return $metal;
    }

    /** @return array<string, array{string, string}> the hots of two transformers, where nothing joins them yet */
    private function hots(): array
    {
        $hots = array_column($this->installation->archetype->transformers, 'hot');

        return count($hots) < 2 ? [] : ['Rc~Rh' => [$hots[0], $hots[1]]];
    }

    /** @return array<string, array{string, string}> hot and common of each supply */
    private function supplies(): array
    {
        return array_combine(
            array_column($this->installation->archetype->transformers, 'id'),
            array_map(
                static fn (Transformer $t): array => [$t->hot, $t->common],
                $this->installation->archetype->transformers,
            ),
        );
    }

    /** @return array<string, array{string, string}> free ends at the wall with the end beside them */
    private function spares(): array
    {
        $conductors = $this->installation->wallConductors();
        $pairs = [];
        foreach ($conductors as $n => $conductor) {
            $id = "{$conductor->id()}.near";
            if ($n > 0 && ! isset($this->netlist->elements["{$id}.joint"])) {
                $before = "{$conductors[$n - 1]->id()}.near";
                $pairs["{$before}~{$id}"] = [$before, $id];
            }
        }

        return $pairs;
    }

    /** @return array<string, array{string, string}> each conductor of a cable with the one on the common in it */
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
                    $pairs["{$conductor->id()}~{$on->id()}"] = ["{$conductor->id()}.mid", "{$on->id()}.mid"];
                }
            }
        }

        return $pairs;
    }

    /** @return array<string, array{string, string}> leads inside a unit, step by step of its switches, to its metal */
    private function insideMetal(): array
    {
        $pairs = [];
        foreach ($this->netlist->points as $point) {
            if ($point->kind === PointKind::Inside && $point->probeable && $point->place !== null) {
                $pairs[$point->id] = [$point->id, $this->metal($point->place)];
            }
        }

        return $pairs;
    }

    /** @return array<string, array{string, string}> each plate switch with something across it */
    private function leaks(): array
    {
        $pairs = [];
        foreach ($this->sites->elements('switch') as $id) {
            $switch = $this->netlist->element($id);
            $pairs[$switch->subject] = [$switch->a, $switch->b];
        }

        return $pairs;
    }

    /**
     * @param  array<string, string>  $points  by the name of what each belongs to
     * @return array<string, array{string, string}> every pair
     */
    private static function pairsOf(array $points): array
    {
        $pairs = [];
        $names = array_keys($points);
        foreach ($names as $n => $one) {
            foreach (array_slice($names, $n + 1) as $other) {
                $pairs["{$one}~{$other}"] = [$points[$one], $points[$other]];
            }
        }

        return $pairs;
    }
}
