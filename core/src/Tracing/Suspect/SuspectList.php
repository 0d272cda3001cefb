<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Suspect;

use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Doing;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\Look;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;

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
        $elements = $circuit->netlist(Setup::calling())->elements;
        $copper = [];
        foreach ($circuit->installation->cables as $cable) {
            $copper += array_fill_keys($cable->conductorIds(), $cable->id);
        }
        $repairs = $catalogue->repairs->of($usual);
        $suspects = [];
        foreach ([...$usual, ...$catalogue->severities($circuit)] as $fault) {
            $factors = ['frequency' => $fault->weight(), 'places' => 1.0 / ($places[$fault->entry] ?? 1)];
            if ($fault->base !== $fault->id) {
                $factors['severity'] = self::SEVERITY;
            }
            foreach ($history as $word) {
                $raised = $catalogue->history->raises($word, $repairs[$fault->repair]->kind ?? '');
                if ($raised !== 1.0) {
                    $factors[$word] = $raised;
                }
            }
            [$spots, $conductors] = self::where($fault, $elements, $copper);
            if ($fault->where === 'cable' && array_intersect_key($conductors, array_flip($damaged)) !== []) {
                $factors['damage'] = self::DAMAGED;
            }
            $suspects[] = Suspect::fault($fault, $factors, $spots, $conductors);
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
            static fn (Repair $r): bool => $r->does === Doing::Fuse && $r->isAt($supply),
        );

        return $repair->id ?? $supply;
    }

    /**
     * What a look finds in a world: the fault that its repair ends, an open fuse, or nothing.
     *
     * @param  list<Fault>  $left  what is wrong there
     */
    public function looked(string $target, array $left, OpenFuses $open): Showing
    {
        $fault = array_find($left, static fn (Fault $f): bool => $f->repair === $target);
        $repair = $this->repairs[$target] ?? null;
        $blown = $repair?->does === Doing::Fuse && $open->has($repair->of[0] ?? '');

        return Showing::finding($fault->entry ?? ($blown ? $repair->ends[0]->entry : Showing::SOUND));
    }

    /**
     * What one look of a round comes to in a world.
     *
     * @param  list<Fault>  $left  what is wrong there
     */
    public static function round(Look $look, array $left, OpenFuses $open): Showing
    {
        $shows = array_any($left, static fn (Fault $f): bool => in_array($look, $f->looks, true));

        return Showing::finding(
            $shows || ($look === Look::Fuse && ! $open->areNone()) ? Probe::OTHERWISE : Showing::SOUND,
        );
    }

    /** Id of the repair that is a setting put right. */
    public function settingOf(string $key): string
    {
        $repair = array_find(
            $this->repairs,
            static fn (Repair $r): bool => $r->isAt($key) && ($r->ends[0]->settings ?? []) !== [],
        );

        return $repair->id ?? $key;
    }

    /** @return list<string> conductors on which the survey found damage */
    private static function damaged(Circuit $circuit): array
    {
        $damaged = [];
        foreach ($circuit->installation->cables as $cable) {
            foreach ($cable->conductors as $conductor) {
                if ($circuit->installation->damageOf($conductor) !== []) {
                    $damaged[] = $conductor->id();
                }
            }
        }

        return $damaged;
    }

    /** @return list<string> points at which a hand finds a fault of a house */
    public static function spots(Fault $fault, Circuit $circuit): array
    {
        return self::where($fault, $circuit->netlist(Setup::calling())->elements, self::copper($circuit))[0];
    }

    /** @return array<string, string> cable by conductor */
    private static function copper(Circuit $circuit): array
    {
        $copper = [];
        foreach ($circuit->installation->cables as $cable) {
            $copper += array_fill_keys($cable->conductorIds(), $cable->id);
        }

        return $copper;
    }

    /**
     * @param  array<string, Element>  $elements
     * @param  array<string, string>  $copper  cable by conductor
     * @return array{list<string>, array<string, string>} points at which a hand finds it; its conductors, with the
     *     cable of each
     */
    private static function where(Fault $fault, array $elements, array $copper): array
    {
        $spots = $conductors = [];
        foreach ($fault->parts as $part) {
            $element = $elements[$part] ?? null;
            $subject = $element->subject ?? $part;
            if ($element !== null) {
                array_push($spots, $element->a, $element->b);
            }
            if (isset($copper[$subject])) {
                array_push($spots, At::near($subject)->id, At::far($subject)->id);
                $conductors[$subject] = $copper[$subject];
            }
        }

        return [array_values(array_unique($spots)), $conductors];
    }
}
