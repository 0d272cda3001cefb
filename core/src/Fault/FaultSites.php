<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Equipment\SharedKit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Conductor;

/** What of a house a fault can befall, by the catalogue's words for it. */
final readonly class FaultSites
{
    public function __construct(private Installation $installation, private Netlist $netlist)
    {
    }

    /** @return list<string> element ids */
    public function elements(string $of): array
    {
        return match ($of) {
            'winding' => $this->kind(ElementKind::Winding),
            'door' => $this->installation->archetype->doorSwitch
                ? array_slice($this->kind(ElementKind::Winding), 0, 1)
                : [],
            'outdoor-y' => $this->joints('far', $this->outdoorCalls(TerminalName::Y1)),
            'fuse' => array_map(
                static fn (Transformer $t): string => "{$t->id}.fuse",
                array_values(
                    array_filter(
                        $this->installation->transformers(),
                        static fn (Transformer $t): bool => $t->fuseAmps !== null,
                    ),
                ),
            ),
            'switch' => $this->kind(ElementKind::ThermostatSwitch),
            'link' => $this->ids(static fn (Element $e): bool => $e->id === 'plate.link'),
            'tie' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::Jumper && $e->id !== 'plate.link',
            ),
            'conductor' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::Wire && $e->isAt('near'),
            ),
            'joint-near' => $this->wallJoints('near'),
            'strip-c', 'strip-r' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::Strip && str_ends_with($e->id, ".{$of}"),
            ),
            'joint-far' => $this->wallJoints('far'),
            'joint-onward' => $this->onwardJoints(),
            'outdoor-w' => $this->joints('far', $this->outdoorCalls(TerminalName::W1)),
            'contact' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::Contact && $e->subject !== 'defrost',
            ),
            'winding-unfused' => array_map(
                static fn (Transformer $t): string => $t->id,
                array_values(
                    array_filter(
                        $this->installation->transformers(),
                        static fn (Transformer $t): bool => $t->fuseAmps === null,
                    ),
                ),
            ),
            'limit', 'rollout', 'draught', 'high-pressure', 'low-pressure' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::SafetySwitch && $e->subject === $of,
            ),
            'float' => $this->ids(
                fn (Element $e): bool => $e->kind === ElementKind::SafetySwitch &&
                    in_array($e->subject, array_column($this->installation->facts->safety, 'id'), true),
            ),
            'valve-contact', 'end-switch', 'compressor-contact', 'defrost-w' => $this->ids(
                static fn (Element $e): bool => $e->id === $of,
            ),
            'kit-contact' => $this->ids(
                fn (Element $e): bool => $e->kind === ElementKind::Contact &&
                    in_array(
                        $e->subject,
                        array_column(SharedKit::loads($this->installation->archetype), 'id'),
                        true,
                    ),
            ),
            'valve' => $this->loads(static fn (Load $l): bool => $l->id === 'valve'),
            'humidifier' => $this->loads(static fn (Load $l): bool => $l->id === 'humidifier'),
            default => $this->loads(static fn (Load $l): bool => $l->kind->value === $of),
        };
    }

    /** @return array<string, array{string, string}> pairs of points that can touch, by name */
    public function pairs(string $of): array
    {
        return match ($of) {
            'pair' => $this->conductorPairs('A'),
            'outdoor-pair' => $this->conductorPairs('B'),
            'screws' => $this->neighbours(),
            'cabinet' => $this->toCabinet(),
            'leak' => $this->leaks(),
            'to-common' => $this->toCommon(),
            'inside-metal' => $this->insideMetal(),
            'hots' => $this->hots(),
            'spares' => $this->spares(),
            default => [
                'T1' => [
                    $this->installation->archetype->transformers[0]->hot,
                    $this->installation->archetype->transformers[0]->common,
                ],
            ],
        };
    }

    /** @return array<string, array{string, string}> pairs of landed ends that can be swapped */
    public function ends(string $end): array
    {
        return $this->pairsOf(
            array_map(fn (string $id): string => $this->netlist->element($id)->a, $this->wallJoints($end)),
        );
    }

    /** @return array<string, array{string, string}> an end and the screw that it is wrongly on, by name */
    public function moves(string $of): array
    {
        $hots = array_column($this->installation->archetype->transformers, 'hot');
        $commons = array_column($this->installation->archetype->transformers, 'common');
        $near = $this->elements('joint-near');
        $moves = [];
        foreach ($near as $n => $id) {
            $end = $this->netlist->element($id)->a;
            $board = $this->netlist->elements[str_replace('.near', '.far', $id)]->b ?? '';
            $next = $this->netlist->element($near[($n + 1) % count($near)])->b;
            foreach ($of === 'c-on-r' ? $near : [] as $other) {
                $hot = in_array(
                    $this->netlist->elements[str_replace('.near', '.far', $other)]->b ?? '',
                    $hots,
                    true,
                );
                if ($hot && in_array($board, $commons, true)) {
                    $moves["{$end}>{$this->netlist->element($other)->b}"] = [
                        $end,
                        $this->netlist->element($other)->b,
                    ];
                }
            }
            if ($of !== 'c-on-r' && count($near) > 1) {
                $moves["{$end}>{$next}"] = [$end, $next];
            }
        }

        return $moves;
    }

    /** A blower that heat needs, run by the unit or by the thermostat. */
    public function fanInHeat(): bool
    {
        return $this->installation->archetype->fanInHeat !== 'none' && $this->has(Observable::Blower);
    }

    public function has(Observable $observable): bool
    {
        foreach ($this->installation->loads() as $load) {
            if ($load->observable === $observable) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, array{string, string}> */
    private function conductorPairs(string $cable): array
    {
        return $this->pairsOf(
            array_map(
                static fn ($c): string => "{$cable}{$c->number}.mid",
                $this->installation->cable($cable)->conductors ?? [],
            ),
        );
    }

    /** @return array<string, array{string, string}> screws beside each other on the plate */
    private function neighbours(): array
    {
        $screws = array_values(
            array_filter(
                array_keys($this->netlist->points),
                static fn (string $id): bool => preg_match('/^wall\.[^.]+$/', $id) === 1,
            ),
        );
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
            $metal = "{$cable->to->value}.cabinet";
            $metal = isset($this->netlist->points[$metal]) ? $metal : 'cabinet';
            foreach ($cable->conductors as $conductor) {
                $pairs[$conductor->id()] = ["{$conductor->id()}.mid", $metal];
            }
        }

        return $pairs;
    }

    /** @return list<string> screws outdoors of one meaning */
    private function outdoorCalls(TerminalName $name): array
    {
        $points = [];
        foreach ($this->installation->archetype->terminals as $terminal) {
            if ($terminal->place->isOutdoors() && $terminal->name === $name) {
                $points[] = $terminal->point();
            }
        }

        return $points;
    }

    /** @return array<string, array{string, string}> the hots of two transformers, where nothing joins them yet */
    private function hots(): array
    {
        $hots = array_column($this->installation->archetype->transformers, 'hot');

        return count($hots) < 2 ? [] : ['Rc~Rh' => [$hots[0], $hots[1]]];
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
        $commons = array_column($this->installation->transformers(), 'common');
        $pairs = [];
        foreach ($this->installation->cables as $cable) {
            $on =
                array_values(
                    array_filter(
                        $cable->conductors,
                        fn (Conductor $c): bool => in_array(
                            $this->netlist->elements["{$c->id()}.far.joint"]->b ?? '',
                            $commons,
                            true,
                        ),
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
            $screw = $point->terminal !== null || $point->conductor !== null;
            $metal =
                $point->place === null || $point->place->value === 'indoor'
                    ? 'cabinet'
                    : "{$point->place->value}.cabinet";
            if (
                ! $screw &&
                $point->probeable &&
                ! $point->line &&
                Place::ofPoint($point->id) !== null &&
                ! str_ends_with($point->id, 'cabinet') &&
                isset($this->netlist->points[$metal])
            ) {
                $pairs[$point->id] = [$point->id, $metal];
            }
        }

        return $pairs;
    }

    /** @return array<string, array{string, string}> each plate switch with something across it */
    private function leaks(): array
    {
        $pairs = [];
        foreach ($this->kind(ElementKind::ThermostatSwitch) as $id) {
            $switch = $this->netlist->element($id);
            $pairs[$switch->subject] = [$switch->a, $switch->b];
        }

        return $pairs;
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, array{string, string}> every pair
     */
    private function pairsOf(array $ids): array
    {
        $pairs = [];
        foreach ($ids as $n => $a) {
            foreach (array_slice($ids, $n + 1) as $b) {
                $pairs[explode('.', $a)[0].'~'.explode('.', $b)[0]] = [$a, $b];
            }
        }

        return $pairs;
    }

    /**
     * @param  list<string>  $screws
     * @return list<string> where a conductor of any cable ends on one of these
     */
    private function joints(string $end, array $screws): array
    {
        return $this->ids(
            static fn (Element $e): bool => $e->kind === ElementKind::Joint &&
                $e->isAt($end) &&
                in_array($e->b, $screws, true),
        );
    }

    /** @return list<string> where conductors of the cables behind the boards are landed */
    private function onwardJoints(): array
    {
        $wall = array_map(static fn (Conductor $c): string => $c->id(), $this->installation->wallConductors());

        return $this->ids(
            static fn (Element $e): bool => $e->kind === ElementKind::Joint &&
                ! in_array($e->subject, $wall, true) &&
                ($e->isAt('near') || $e->isAt('far')),
        );
    }

    /** @return list<string> contacts on the line side of what is seen running */
    public function lineContacts(Observable $observable): array
    {
        $ids = [];
        foreach ($this->installation->loads() as $load) {
            foreach ($load->observable === $observable ? $load->drives : [] as $contact) {
                if ($contact->onLine) {
                    $ids[] = $contact->id;
                }
            }
        }

        return $ids;
    }

    /** @return list<string> where the conductors of the wall cable are landed or spliced */
    private function wallJoints(string $end): array
    {
        $conductors = array_map(static fn (Conductor $c): string => $c->id(), $this->installation->wallConductors());

        return $this->ids(
            static fn (Element $e): bool => $e->kind === ElementKind::Joint &&
                $e->isAt($end) &&
                in_array($e->subject, $conductors, true),
        );
    }

    /** @return list<string> */
    private function kind(ElementKind $kind): array
    {
        return $this->ids(static fn (Element $e): bool => $e->kind === $kind);
    }

    /** @return list<string> */
    private function ids(callable $wanted): array
    {
        return array_map(
            static fn (Element $e): string => $e->id,
            array_values(array_filter($this->netlist->elements, $wanted)),
        );
    }

    /** @return list<string> */
    private function loads(callable $wanted): array
    {
        return array_map(
            static fn (Load $l): string => $l->id,
            array_values(array_filter($this->installation->loads(), $wanted)),
        );
    }
}
