<?php

declare(strict_types=1);

namespace Unionbit\Core\Tests\Support;

use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;

/**
 * A second opinion on a plan that shares nothing with planner, circuit or call tables: screws joined into nets by
 * copper, loads energised where their two ends stand on hot and common of one transformer, contacts that follow.
 */
final class NetWalk
{
    /** @var array<string, string> */
    private array $parent = [];

    public function __construct(private readonly Plan $plan)
    {
    }

    /**
     * @param  list<string>  $proved  calls that the planner says are proved
     * @return list<string> objections
     */
    public function objections(array $proved): array
    {
        $bad = [];
        foreach ($this->calls() as $call => $letters) {
            $in = $this->energised($letters, $call === 'defrost');
            if (is_string($in)) {
                $bad[] = "{$call}: {$in}";

                continue;
            }
            $needs = array_filter(
                $this->plan->installation->archetype->needs[$call] ?? [],
                fn (string $id): bool => $this->plan->installation->archetype->load($id)?->kind->hasState() === true,
            );
            $allowed = [...$needs, ...$this->plan->installation->archetype->allows[$call] ?? []];
            if (
                in_array($call, $proved, true) &&
                (array_diff($needs, $in) !== [] || array_diff($in, $allowed) !== [])
            ) {
                $bad[] = "{$call}: runs ".implode(',', $in).' instead of '.implode(',', $needs);
            }
            $blower = array_filter(
                $this->plan->installation->archetype->loads,
                static fn ($l): bool => $l->observable === Observable::Blower,
            );
            $compressor = array_filter(
                $this->plan->installation->archetype->loads,
                static fn ($l): bool => $l->observable === Observable::OutdoorUnit && in_array($l->id, $in, true),
            );
            if (
                $compressor !== [] &&
                $blower !== [] &&
                array_filter($blower, static fn ($l): bool => in_array($l->id, $in, true)) === []
            ) {
                $bad[] = "{$call}: the compressor runs without air";
            }
        }

        return [...$bad, ...$this->power()];
    }

    /**
     * Conductors that came from an accessory's screw as the house was found and now bring something else to the wall.
     *
     * @return list<string> ids
     */
    public function takenFromAccessories(Installation $found): array
    {
        $taken = [];
        foreach ($found->wallConductors() as $was) {
            $now = $this->plan->landing->board[$was->id()] ?? $was->far;
            $wall = $this->plan->landing->wall[$was->id()] ?? $was->near;
            $there = $this->plan->installation->wallConductor($was->id());
            if (
                in_array($was->far->terminal, ['HUM', 'DEH', 'S1', 'S2', 'ACC+', 'ACC-'], true) &&
                $there?->far->terminal === $was->far->terminal &&
                $now->terminal !== $was->far->terminal &&
                $wall->isLanded()
            ) {
                $taken[] = $was->id();
            }
        }

        return $taken;
    }

    /** @return array<string, list<string>> letters by call, humidity among them */
    private function calls(): array
    {
        $calls = $this->comfort();
        $screws = array_map(
            static fn ($t): string => $t->name->value,
            $this->plan->installation->archetype->terminals,
        );
        $asks = array_values(array_intersect(['ACC-', 'HUM'], $screws));
        $cools = $calls['cool-1'] ?? [];
        if (in_array('DEH', $screws, true) && isset($this->plan->installation->archetype->needs['dehumidify'])) {
            $opens = $this->plan->installation->archetype->dehumidify->value === 'opens';
            $calls = $opens ? array_map(static fn (array $c): array => [...$c, 'DEH'], $calls) : $calls;
            $calls['dehumidify'] = $opens ? $cools : [...$cools, 'DEH'];
        }
        $held = array_values(array_intersect($calls['idle'], ['DEH']));

        return $asks === []
            ? $calls
            : [...$calls, 'humidify' => [$asks[0], ...$held, ...isset($calls['fan']) ? ['G'] : ['W1']]];
    }

    /** @return array<string, list<string>> letters by call, written out anew from the trade's tables */
    private function comfort(): array
    {
        $a = $this->plan->installation->archetype;
        $calls = ['idle' => []];
        $valve = $a->heatPump?->valve;
        $fan =
            array_filter(
                $a->terminals,
                static fn ($t): bool => ! $t->place->isOutdoors() && $t->name->value === 'G',
            ) !== [] || $valve !== null
                ? ['G']
                : [];
        if ($fan !== []) {
            $calls['fan'] = ['G'];
        }
        $o = $valve === 'O' ? ['O'] : [];
        $b = $valve === 'B' ? ['B'] : [];
        for ($stage = 1; $stage <= $a->coolStages; $stage++) {
            $y = array_slice(['Y1', 'Y2'], 0, $stage);
            $calls["cool-{$stage}"] = [...$y, ...$fan, ...$o];
            if ($valve !== null) {
                $calls["heat-{$stage}"] = [...$y, 'G', ...$b];
            }
        }
        if ($valve === null) {
            $with = $a->fanInHeat === FanInHeat::Thermostat ? $fan : [];
            for ($stage = 1; $stage <= $a->heatStages; $stage++) {
                $calls["heat-{$stage}"] = [...array_slice(['W1', 'W2'], 0, $stage), ...$with];
            }

            return $calls;
        }
        $calls['defrost'] = $calls['heat-1'];
        $top = $calls["heat-{$a->coolStages}"];
        if ($a->heatSource->burns()) {
            for ($stage = 1; $stage <= $a->heatStages; $stage++) {
                $calls["furnace-{$stage}"] = array_slice(['Aux', 'W2'], 0, $stage);
            }

            return $calls;
        }
        for ($stage = 1; $stage <= $a->heatPump->auxiliaryStages; $stage++) {
            $calls["aux-{$stage}"] = [...$top, ...array_slice(['Aux', 'W2'], 0, $stage)];
            $calls['emergency'] = [$this->plate('E') === null ? 'Aux' : 'E', 'G'];
        }

        return $calls;
    }

    private function plate(string $letter): ?string
    {
        $others = ['O' => ['O/B'], 'B' => ['O/B'], 'Aux' => ['W2', 'W1'], 'W1' => ['Aux']][$letter] ?? [];
        foreach ([$letter, ...$others] as $name) {
            foreach ($this->plan->profile->terminals as $terminal) {
                if ($terminal->name->value === $name) {
                    return $terminal->printed;
                }
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $letters
     * @return list<string>|string ids of what has pulled in, or what is wrong with the copper
     */
    private function energised(array $letters, bool $defrost): array|string
    {
        $house = $this->plan->installation;
        $in = [];
        for ($round = 0; $round < 12; $round++) {
            $this->copper($letters);
            $this->kit($letters);
            foreach ($house->loads() as $load) {
                foreach ($load->drives as $contact) {
                    if (in_array($load->id, $in, true) !== $contact->normallyClosed) {
                        $this->join($contact->from, $contact->to);
                    }
                }
            }
            foreach ($house->archetype->modes as $contacts) {
                foreach ($contacts as $contact) {
                    if ($defrost !== $contact->normallyClosed) {
                        $this->join($contact->from, $contact->to);
                    }
                }
            }
            foreach ($house->archetype->transformers as $one) {
                foreach ($house->archetype->transformers as $two) {
                    if ($this->find($one->hot) === $this->find($two->common) && $one === $two) {
                        return 'hot meets common';
                    }
                    if ($one !== $two && $this->find($one->hot) === $this->find($two->hot)) {
                        return 'two hots meet';
                    }
                }
            }
            $now = [];
            foreach ($house->archetype->loads as $load) {
                foreach ($house->archetype->transformers as $t) {
                    if (
                        $load->kind->hasState() &&
                        $this->find($load->from) === $this->find($t->hot) &&
                        $this->find($load->to) === $this->find($t->common)
                    ) {
                        $now[] = $load->id;
                    }
                }
            }
            if ($now === $in) {
                return $in;
            }
            $in = $now;
        }

        return 'does not settle';
    }

    /** @param  list<string>  $letters */
    private function copper(array $letters): void
    {
        $plan = $this->plan;
        $house = $plan->installation;
        $plate = $plan->profile->outputs->value;
        $this->parent = [];
        foreach ($house->cables as $cable) {
            foreach ($cable->conductors as $c) {
                $ends = [$c->near, $c->far];
                if ($cable->from->value === 'wall') {
                    $ends = [
                        $plan->landing->wall[$c->id()] ?? $c->near,
                        $plan->landing->board[$c->id()] ?? $c->far,
                    ];
                }
                $id = $cable->id.$c->number;
                // Open in the wall it is two pieces of copper; what it touches is one piece with it.
                $open = in_array('open', array_column($c->condition, 'value'), true);
                foreach ([[$cable->from->value, $ends[0]], [$cable->to->value, $ends[1]]] as $n => [$place, $end]) {
                    $piece = $open && $n === 1 ? "{$id}.beyond" : $id;
                    if ($end->terminal !== null) {
                        $this->join($piece, "{$place}.{$end->terminal}");
                    }
                    if ($end->onto !== null) {
                        $this->join($piece, $end->onto);
                    }
                }
                foreach ($open ? [] : $c->touches as $other) {
                    if (
                        ! in_array('open', array_column($cable->conductor($other)->condition ?? [], 'value'), true)
                    ) {
                        $this->join($id, $cable->id.$other);
                    }
                }
                if (! $open && in_array('cabinet', array_column($c->condition, 'value'), true)) {
                    $this->join($id, 'metal');
                }
            }
        }
        foreach ($house->commonBonded() ? $house->archetype->transformers : [] as $supply) {
            $this->join('metal', $supply->common);
        }
        foreach ([...$house->archetype->ties, ...$plan->landing->jumpers] as $tie) {
            $this->join("{$tie->place->value}.{$tie->a}", "{$tie->place->value}.{$tie->b}");
        }
        foreach ($house->archetype->switches as $switch) {
            $this->join($switch->from, $switch->to);
        }
        if ($plan->profile->link !== null && $plan->landing->linkIn) {
            $this->join("{$plate}.{$plan->profile->link[0]}", "{$plate}.{$plan->profile->link[1]}");
        }
        if ($plate === 'module') {
            $board = $house->archetype->boards[0]->value;
            $this->join("{$board}.M1", 'module.'.$plan->profile->powerFrom);
            $this->join("{$board}.M2", 'module.C');
            foreach ($house->archetype->terminals as $terminal) {
                $letter =
                    $house->archetype->heatPump !== null && $terminal->name->value === 'W1'
                        ? 'Aux'
                        : $terminal->name->value;
                $letter = in_array($letter, ['R', 'Rc', 'Rh'], true) ? 'R' : $letter;
                $screw =
                    in_array($terminal->place, $house->archetype->boards, true) && ! $terminal->onward
                        ? $this->plate($letter)
                        : null;
                if ($screw !== null) {
                    $this->join("module.{$screw}", $terminal->point());
                }
            }
        }
        foreach ($letters as $letter) {
            foreach ($plan->profile->terminals as $terminal) {
                if ($terminal->printed === $this->plate($letter) && $terminal->hot !== null) {
                    $this->join("{$plate}.{$terminal->printed}", "{$plate}.{$terminal->hot}");
                }
            }
        }
    }

    /**
     * A kit's adapter that hears K and stands on hot and common: R to G for either, R to Y where the compressor is
     * called.
     *
     * @param  list<string>  $letters
     */
    private function kit(array $letters): void
    {
        $board = [];
        foreach ($this->plan->installation->archetype->terminals as $terminal) {
            $board[$terminal->place->value][$terminal->name->value] ??= $terminal->point();
        }
        $called = array_intersect(['Y1', 'G'], $letters);
        $t = $this->plan->installation->archetype->transformers[0];
        $hears = $this->find('wall.'.$this->plate('K')) === $this->find('indoor.K');
        if (
            ! $this->plan->changes->sharedKit ||
            $called === [] ||
            ! $hears ||
            $this->find($board['indoor']['R']) !== $this->find($t->hot) ||
            $this->find($board['indoor']['C']) !== $this->find($t->common)
        ) {
            return;
        }
        foreach (['G', ...array_intersect(['Y1'], $called)] as $letter) {
            $this->join($board['indoor']['R'], $board['indoor'][$letter]);
        }
    }

    /** @return list<string> */
    private function power(): array
    {
        if ($this->plan->profile->power->value !== 'common' || $this->plan->landing->plugIn) {
            return [];
        }
        $this->copper([]);
        $plate = $this->plan->profile->outputs->value;
        $pairs = [
            ["{$plate}.{$this->plan->profile->powerFrom}", "{$plate}.{$this->plate('C')}"],
            ...$this->plan->profile->linkConductors > 0 ? [['wall.1', 'wall.2']] : [],
        ];
        $bad = [];
        foreach ($pairs as [$hot, $common]) {
            $fed = array_filter(
                $this->plan->installation->archetype->transformers,
                fn ($t): bool => $this->find($hot) === $this->find($t->hot) &&
                    $this->find($common) === $this->find($t->common),
            );
            if ($fed === []) {
                $bad[] = "no power between {$hot} and {$common}";
            }
        }

        return $bad;
    }

    private function find(string $node): string
    {
        while (($this->parent[$node] ?? $node) !== $node) {
            $node = $this->parent[$node];
        }

        return $node;
    }

    private function join(string $a, string $b): void
    {
        $this->parent[$this->find($a)] = $this->find($b);
    }
}
