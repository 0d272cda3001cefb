<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Suspect;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Doing;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tracing\World\Prediction;

/** Everything that may be wrong with a house, each with how often it is met. Priors are our working figures. */
final readonly class SuspectList
{
    /** A worse or lighter form of a fault against its usual one. */
    private const SEVERITY = 0.3;

    /** The survey found damage on the conductor. */
    private const DAMAGED = 4.0;

    /** Parts of all that is met. */
    private const NOTHING_WRONG = 0.01;

    private const UNKNOWN = 0.005;

    /** A rule broken by the landing is likelier the cause than any single rare fault. */
    private const LANDING = 30.0;

    /**
     * @param  list<Suspect>  $all
     * @param  array<string, Repair>  $repairs  by id
     * @param  list<LandingFault>  $landing
     */
    private function __construct(public array $all, public array $repairs, public array $landing)
    {
    }

    /** @param  list<string>  $history  words of the catalogue's history */
    public static function of(Plan $plan, Circuit $circuit, FaultCatalogue $catalogue, array $history): self
    {
        $usual = $catalogue->of($circuit);
        $places = array_count_values(array_map(static fn (Fault $f): string => $f->entry, $usual));
        $damaged = self::damaged($circuit);
        $repairs = $catalogue->repairs->of($usual);
        $suspects = [];
        foreach ([...$usual, ...$catalogue->severities($circuit)] as $fault) {
            $factors = ['frequency' => $fault->weight(), 'places' => 1.0 / ($places[$fault->entry] ?? 1)];
            if ($fault->base() !== $fault->id) {
                $factors['severity'] = self::SEVERITY;
            }
            foreach ($history as $word) {
                $raised = $catalogue->history->raises($word, $repairs[$fault->repair]->kind ?? '');
                if ($raised !== 1.0) {
                    $factors[$word] = $raised;
                }
            }
            if (self::isOn($fault, $damaged, $circuit)) {
                $factors['damage'] = self::DAMAGED;
            }
            $suspects[] = Suspect::fault($fault, $factors);
        }
        $total = array_sum(array_map(static fn (Suspect $s): float => $s->prior, $suspects));
        $landing = LandingFault::of($plan, $circuit);
        foreach ($landing as $fault) {
            $suspects[] = Suspect::landing($fault, self::LANDING);
        }
        $suspects[] = Suspect::sound(self::NOTHING_WRONG * $total);
        $suspects[] = Suspect::unknown(self::UNKNOWN * $total);

        return new self($suspects, $repairs, $landing);
    }

    /** Id of the repair that is a new fuse of a supply. */
    public function fuseOf(string $supply): string
    {
        $repair = array_find(
            $this->repairs,
            static fn (Repair $r): bool => $r->does === Doing::Fuse && $r->of === $supply,
        );

        return $repair->id ?? $supply;
    }

    /**
     * What a look finds in a world: the fault that its repair ends, an open fuse, or nothing.
     *
     * @param  list<Fault>  $left  what is wrong there
     * @param  list<string>  $open  supplies whose fuse is open
     */
    public function looked(string $target, array $left, array $open): Prediction
    {
        $fault = array_find($left, static fn (Fault $f): bool => $f->repair === $target);
        $repair = $this->repairs[$target] ?? null;
        $blown = $repair?->does === Doing::Fuse && in_array($repair->of, $open, true);

        return Prediction::finding($fault->entry ?? ($blown ? $repair->ends[0]->entry : Prediction::SOUND));
    }

    /** Id of the repair that is a setting put right. */
    public function settingOf(string $key): string
    {
        $repair = array_find(
            $this->repairs,
            static fn (Repair $r): bool => $r->of === $key && ($r->ends[0]->settings ?? []) !== [],
        );

        return $repair->id ?? $key;
    }

    /** @return array<string, true> conductors on which the survey found damage */
    private static function damaged(Circuit $circuit): array
    {
        $damaged = [];
        foreach ($circuit->installation->cables as $cable) {
            foreach ($cable->conductors as $conductor) {
                if ($circuit->installation->damageOf($conductor) !== []) {
                    $damaged[$conductor->id()] = true;
                }
            }
        }

        return $damaged;
    }

    /** @param  array<string, true>  $damaged */
    private static function isOn(Fault $fault, array $damaged, Circuit $circuit): bool
    {
        if ($damaged === [] || $fault->where !== 'cable') {
            return false;
        }
        $elements = $circuit->netlist(Setup::calling())->elements;
        $subjects = [];
        foreach ($fault->parts as $part) {
            foreach (explode('~', $part) as $one) {
                $element = $elements[$one] ?? null;
                $subjects[] = $element instanceof Element ? $element->subject : $one;
            }
        }

        return array_any($subjects, static fn (string $s): bool => isset($damaged[$s]));
    }
}
