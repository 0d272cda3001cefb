<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Route;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Show\Tolerances;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Words\Message;

/**
 * What a test cannot tell apart, known before it is done: every single fault of the catalogue is put into the circuit
 * in the test's own set-up; those that would look the same stand together.
 */
final readonly class Separation
{
    /** @var list<Fault> */
    private array $faults;

    public function __construct(private AskedHouse $house, FaultCatalogue $catalogue)
    {
        $this->faults = array_values(
            array_filter($catalogue->of($house->circuit), static fn (Fault $f): bool => ! $f->intermittent),
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
    public function ofReading(Hands $hands, MeterMode $mode, string $a, string $b, ?array $suspects = null): array
    {
        $healthy = $this->house->state($hands)->read($mode, $a, $b);
        $groups = [['value' => $healthy, 'expected' => true, 'faults' => []]];
        foreach ($this->faults as $fault) {
            if ($suspects !== null && ! in_array($fault->id, $suspects, true)) {
                continue;
            }
            $value = $this->house->with($fault)->state($hands)->read($mode, $a, $b);
            foreach ($groups as $index => $group) {
                if (Tolerances::alike($mode, $group['value'], $value)) {
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
        $state = $this->house->with($fault)->state($step->hands);
        $signs = [];
        foreach ($step->staysDead ? [] : $step->signs as $sign) {
            if (isset($state->seen[$sign->key])) {
                $signs[$sign->key] = $state->seen[$sign->key];
            }
        }

        return [
            'signs' => $signs,
            'values' => array_map(
                static fn (Measure $p): array => [$p->mode, $state->read($p->mode, $p->a, $p->b)],
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
            if (! Tolerances::alike($mode, $value, $other['values'][$index][1])) {
                return false;
            }
        }

        return $one['signs'] === $other['signs'];
    }
}
