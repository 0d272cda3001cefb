<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Step;

/**
 * Which faults each proof of a house would show, worked out piece by piece, so that each can be kept: every required
 * proof and every proof that was done over all faults, the others over those that nothing else shows.
 */
final class Ledger
{
    /** The piece that comes last: what is left over. */
    public const LEFT = 'left';

    /** Under this key it lists what changes nothing in this house. */
    private const NOTHING = 'nothing';

    private readonly Witness $witness;

    /** @var list<Fault> */
    public readonly array $faults;

    /** @param  list<Step>  $steps  that the plan can have */
    public function __construct(
        private readonly Plan $plan,
        FaultCatalogue $catalogue,
        private readonly array $steps,
    ) {
        $this->witness = new Witness($plan);
        $this->faults = $catalogue->of($plan->circuit());
    }

    /**
     * @param  list<string>  $ran  keys of steps that were begun
     * @return list<string> keys of the pieces, in the order in which they are worked out
     */
    public function pieces(array $ran): array
    {
        $pieces = array_filter(
            $this->steps,
            static fn (Step $s): bool => $s->method->isRequired() ||
                $s->method === Method::PreCheck ||
                in_array($s->key(), $ran, true),
        );

        return [...array_map(static fn (Step $s): string => $s->key(), array_values($pieces)), self::LEFT];
    }

    /**
     * @param  array<string, list<string>>  $shown  by all other pieces, where this is the last
     * @return array<string, list<string>> fault ids by item
     */
    public function work(string $piece, array $shown): array
    {
        if ($piece === self::LEFT) {
            return $this->left($shown);
        }
        foreach ($this->steps as $step) {
            if ($step->key() === $piece) {
                $amps = $step->method === Method::Voltage ? $this->witness->amps($step->call, $this->faults) : [];

                return [...$this->witness->of($step, $this->faults), ...$amps];
            }
        }

        return [];
    }

    /**
     * @param  list<Item>  $items
     * @param  array<string, list<string>>  $shown
     * @return array<string, list<string>> items that were worked out, by the key of their step
     */
    private static function worked(array $items, array $shown): array
    {
        $worked = [];
        foreach ($items as $item) {
            if ($item->step !== null && isset($shown[$item->key])) {
                $worked[$item->step][] = $item->key;
            }
        }

        return $worked;
    }

    /** @return list<Item> everything that can be done here */
    public function items(): array
    {
        $make = new Items($this->plan->circuit());
        $calls = array_map(
            static fn (Step $s): CallName => $s->call,
            array_filter($this->steps, static fn (Step $s): bool => $s->method === Method::Voltage),
        );

        return [
            ...array_merge([], ...array_map($make->ofStep(...), $this->steps)),
            ...$make->aside(...array_values($calls)),
        ];
    }

    /**
     * @param  array<string, list<string>>  $shown  of all pieces
     * @param  list<string>  $done  items
     */
    public function coverage(array $shown, array $done): Coverage
    {
        $nothing = array_flip($shown[self::NOTHING] ?? []);
        $planned = [];
        $items = $this->items();
        $worked = self::worked($items, $shown);
        foreach ($this->steps as $step) {
            array_push($planned, ...$step->method->isRequired() ? $worked[$step->key()] ?? [] : []);
            // The short form looks round as well.
            foreach ($step->method === Method::Looks ? $step->signs : [] as $sign) {
                $planned[] = Item::ofStep($step->key(), $sign->key);
            }
        }

        return Coverage::of(
            $this->faults,
            array_diff_key($shown, [self::NOTHING => true]),
            $items,
            $done,
            $planned,
            static fn (Fault $f): bool => isset($nothing[$f->id]),
        );
    }

    /**
     * @param  array<string, list<string>>  $shown
     * @return array<string, list<string>>
     */
    private function left(array $shown): array
    {
        $known = array_flip(array_merge([], ...array_values($shown)));
        $left = array_values(
            array_filter(
                $this->faults,
                static fn (Fault $f): bool => ! isset($known[$f->id]) && $f->looks === [] && ! $f->intermittent,
            ),
        );
        $more = [];
        $worked = self::worked($this->items(), $shown);
        foreach ($this->steps as $step) {
            $more += isset($worked[$step->key()]) ? [] : $this->witness->of($step, $left);
        }
        $never = array_diff(
            array_map(static fn (Fault $f): string => $f->id, $left),
            array_merge([], ...array_values($more)),
        );
        $nothing = array_filter(
            $left,
            fn (Fault $f): bool => in_array($f->id, $never, true) && $this->witness->changesNothing($f),
        );

        return [
            ...$more,
            self::NOTHING => array_values(array_map(static fn (Fault $f): string => $f->id, $nothing)),
        ];
    }
}
