<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Route;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\FaultedCall;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Probe;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Words\Message;

/**
 * What a test cannot tell apart, known before it is done: every single fault of the catalogue is put into the circuit
 * in the test's own set-up; those that would look the same stand together.
 */
final readonly class Separation
{
    /** Two volt readings nearer than this are one to the person who reads them. */
    private const VOLTS = 4.0;

    /** Two ohm readings nearer than this share of the larger are one. */
    private const OHMS = 0.25;

    /** @var list<Fault> */
    private array $faults;

    public function __construct(private Circuit $circuit, FaultCatalogue $catalogue)
    {
        $this->faults = array_values(
            array_filter($catalogue->of($circuit), static fn (Fault $f): bool => ! $f->intermittent),
        );
    }

    /**
     * Faults of different places that fail a step in the very same way, the largest groups first, each with the other
     * step of the call that parts most of them.
     *
     * @param  list<Step>  $others  other steps of the same call
     * @param  int  $most  groups wanted
     * @return list<array{places: array<string, list<Message>>, told: ?string}> titles by place; key of the step that
     *     parts them
     */
    public function ofStep(Step $step, array $others, int $most = 3): array
    {
        $healthy = $this->seen($step, null);
        $looks = $groups = [];
        foreach ($this->faults as $fault) {
            $seen = $this->seen($step, $fault);
            if ($this->alike($seen, $healthy)) {
                continue;
            }
            foreach ($looks as $index => $look) {
                if ($this->alike($look, $seen)) {
                    $groups[$index][] = $fault;

                    continue 2;
                }
            }
            $looks[] = $seen;
            $groups[] = [$fault];
        }
        $mixed = array_values(
            array_filter(
                $groups,
                static fn (array $faults): bool => count(
                    array_unique(array_map(static fn (Fault $f): string => $f->where, $faults)),
                ) > 1,
            ),
        );
        usort($mixed, static fn (array $a, array $b): int => count($b) <=> count($a));

        return array_map(
            fn (array $faults): array => [
                'places' => self::byPlace($faults),
                'told' => $this->told($faults, $others),
            ],
            array_slice($mixed, 0, $most),
        );
    }

    /**
     * What one pair of points would read with each fault, in groups that the meter can tell apart.
     *
     * @param  ?list<string>  $suspects  ids of the faults still in question; null for all
     * @return list<array{value: ?float, expected: bool, places: array<string, list<Message>>}> value in the mode's
     *     unit, null for nothing that reads
     */
    public function ofReading(Setup $setup, MeterMode $mode, string $a, string $b, ?array $suspects = null): array
    {
        $healthy = $this->value($setup, $mode, $a, $b);
        $groups = [['value' => $healthy, 'expected' => true, 'faults' => []]];
        foreach ($this->faults as $fault) {
            if ($suspects !== null && ! in_array($fault->id, $suspects, true)) {
                continue;
            }
            $value = $this->value($setup->with(...$fault->edits), $mode, $a, $b);
            foreach ($groups as $index => $group) {
                if (self::near($group['value'], $value, $mode)) {
                    $groups[$index]['faults'][] = $fault;

                    continue 2;
                }
            }
            $groups[] = ['value' => $value, 'expected' => false, 'faults' => [$fault]];
        }

        return array_map(
            static fn (array $g): array => [
                'value' => $g['value'],
                'expected' => $g['expected'],
                'places' => self::byPlace($g['faults']),
            ],
            $groups,
        );
    }

    /**
     * The step that splits these faults into the most groups; null where none parts them at all.
     *
     * @param  list<Fault>  $faults
     * @param  list<Step>  $others
     */
    private function told(array $faults, array $others): ?string
    {
        $best = null;
        $most = 1;
        foreach ($others as $other) {
            $kinds = [];
            foreach ($faults as $fault) {
                $seen = $this->seen($other, $fault);
                if (array_filter($kinds, fn (array $kind): bool => $this->alike($kind, $seen)) === []) {
                    $kinds[] = $seen;
                }
            }
            if (count($kinds) > $most) {
                [$best, $most] = [$other->key(), count($kinds)];
            }
        }

        return $best;
    }

    /**
     * @param  list<Fault>  $faults
     * @return array<string, list<Message>> titles by place, the commonest first
     */
    private static function byPlace(array $faults): array
    {
        usort($faults, static fn (Fault $a, Fault $b): int => $a->rank() <=> $b->rank());
        $places = [];
        foreach ($faults as $fault) {
            $places[$fault->where][] = $fault->title;
        }

        return $places;
    }

    /** @return array{signs: array<string, bool>, values: list<array{MeterMode, ?float}>} */
    private function seen(Step $step, ?Fault $fault): array
    {
        $setup =
            $step->method === Method::Voltage
                ? FaultedCall::setup($this->circuit, $step->call, $fault)
                : $step->setup->with(...$fault->edits ?? []);
        $signs = [];
        if (! $step->staysDead) {
            $runs = Observables::of($this->circuit, $this->circuit->operate($setup), $fault);
            foreach ($step->signs as $sign) {
                if (isset($runs[$sign->key])) {
                    $signs[$sign->key] = $runs[$sign->key];
                }
            }
        }

        return [
            'signs' => $signs,
            'values' => array_map(
                fn (Probe $p): array => [$p->mode, $this->value($setup, $p->mode, $p->a, $p->b)],
                $step->probes,
            ),
        ];
    }

    /**
     * @param  array{signs: array<string, bool>, values: list<array{MeterMode, ?float}>}  $one
     * @param  array{signs: array<string, bool>, values: list<array{MeterMode, ?float}>}  $other
     */
    private function alike(array $one, array $other): bool
    {
        foreach ($one['values'] as $index => [$mode, $value]) {
            if (! self::near($value, $other['values'][$index][1], $mode)) {
                return false;
            }
        }

        return $one['signs'] === $other['signs'];
    }

    private static function near(?float $one, ?float $other, MeterMode $mode): bool
    {
        if ($one === null || $other === null) {
            // A floating point shows some volts or none: on the meter that is much the same as nothing.
            return $one === $other || ($mode === MeterMode::Volts && ($one ?? $other) < self::VOLTS);
        }

        return abs($one - $other) <=
            match ($mode) {
                MeterMode::Ohms, MeterMode::Beep => max(1.0, self::OHMS * max($one, $other)),
                MeterMode::Amps => 0.05,
                default => self::VOLTS,
            };
    }

    private function value(Setup $setup, MeterMode $mode, string $a, string $b): ?float
    {
        $meter = new Meter($this->circuit);

        return $mode === MeterMode::Volts
            ? $meter->nominalVolts($setup, $a, $b)
            : $meter->read($mode, $setup, $a, $b)->nominal;
    }
}
