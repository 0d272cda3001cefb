<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\ArchetypeReader;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** The units of one house with their options, and the equipment that they make together. */
final readonly class Composition
{
    /** What a unit does not know of the rest of the house unless another unit says so. */
    private const ALONE = ['cool' => '0', 'valve' => 'none', 'board' => 'no', 'heats' => '0', 'fan' => 'no'];

    /** Characters of a short name. */
    private const SHORT = 24;

    /** @var list<Chosen> a panel first, then indoors, outdoors, what is added */
    public array $units;

    /** @param  list<Chosen>  $units */
    public function __construct(array $units)
    {
        $rank = static fn (Chosen $chosen): int => match (true) {
            $chosen->unit->role === 'accessory' => 3,
            $chosen->isOutdoorUnit() => 2,
            $chosen->unit->role === 'panel' => 0,
            default => 1,
        };
        $places = array_column(Place::cases(), 'value');
        $order = static fn (Chosen $c): array => [
            $rank($c),
            array_search($c->place->value, $places, true),
            $c->unit->id,
        ];
        usort($units, static fn (Chosen $a, Chosen $b): int => $order($a) <=> $order($b));
        $this->units = $units;
    }

    public function key(): string
    {
        return implode('+', array_map(static fn (Chosen $unit): string => $unit->key(), $this->units));
    }

    /** Whether it is what the answers mean: the units that they mean, with every option as they say it. */
    public function isMeant(self $meant): bool
    {
        [$mine, $theirs] = [$this->asked(), $meant->asked()];
        if (array_keys($mine) !== array_keys($theirs)) {
            return false;
        }
        foreach ($theirs as $id => $chosen) {
            if (! $mine[$id]->isAs($chosen)) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, Chosen> the units that answers select, by id */
    public function asked(): array
    {
        $asked = [];
        foreach ($this->units as $chosen) {
            if ($chosen->isAsked()) {
                $asked[$chosen->unit->id] = $chosen;
            }
        }
        ksort($asked);

        return $asked;
    }

    /** @return list<array<string, mixed>> every option of every unit, as an archetype is read */
    private function options(): array
    {
        $options = [];
        $units = array_map(
            static fn (Chosen $c): Unit => $c->unit,
            array_values(array_filter($this->units, static fn (Chosen $c): bool => $c->isAsked())),
        );
        foreach ($this->units as $chosen) {
            foreach ($chosen->unit->options as $key => $option) {
                $options[] = [
                    'unit' => $chosen->unit->title,
                    'key' => $key,
                    'choice' => $chosen->options[$key],
                    'asks' => $option->question($chosen->unit, $units),
                    'each' => $option->each,
                    'said' => $option->answering($chosen->options[$key]),
                ];
            }
        }

        return $options;
    }

    /** @throws Unheld */
    public function archetype(string $id, ?string $title, ?string $short): Archetype
    {
        $facts = $this->facts();
        $parts = new JoinedParts($this->placed($facts));
        $heat = $parts->heat();
        $does = $parts->does();
        $calls = new Calls($does, $facts['valve'], $heat['source'], $heat['fan'] === 'thermostat');
        $needs = $calls->needs();
        $this->hold($facts, $heat, $does, $parts->heatSources());
        $boards = $this->boards();
        $said = $parts->said($facts['valve'] !== 'none');

        return ArchetypeReader::read([
            'id' => $id,
            'title' => $title ?? ucfirst($said[0]),
            'short' => $short ??
                (mb_strlen($said[1]) > self::SHORT ? mb_substr($said[1], 0, self::SHORT - 1).'…' : $said[1]),
            'heat' => $heat,
            'cooling' => ['stages' => (int) $facts['cool'], 'reverses' => $facts['valve'] !== 'none'],
            'kind' => $parts->first('kind') ?? 'plain',
            'commonBonded' => $parts->any('bonded'),
            'doorSwitch' => $parts->any('doorSwitch'),
            'boardRunsBlower' => $parts->any('boardRunsBlower'),
            'heatPump' => $facts['valve'] === 'none' ? null : $this->heatPump($facts['valve'], $heat, $does),
            'terminals' => $parts->terminals($facts['valve'] !== 'none'),
            'transformers' => $parts->transformers(
                array_keys(array_filter($this->units, fn (Chosen $c): bool => ! $this->feedsThermostat($c))),
            ),
            'loads' => $parts->each('loads'),
            'switches' => $parts->each('switches'),
            'ties' => $parts->ties(),
            'modes' => $parts->modes(),
            'needs' => $needs,
            'allows' => $calls->allows(array_keys($needs)),
            'delays' => $parts->delays(),
            'boards' => array_column($boards, 'value'),
            'units' => array_map(static fn (Chosen $c): array => $c->toArray(), $this->units),
            'options' => $this->options(),
            'dehumidify' => $parts->first('dehumidify') ?? 'none',
        ]);
    }

    /**
     * This equipment with the places, the added units and the unasked options of what stood in the house before.
     *
     * @throws Unheld
     */
    public function carrying(self $before): self
    {
        $units = [];
        foreach ($this->units as $chosen) {
            $was = $before->unit($chosen->unit->id);
            $units[] = $was === null ? $chosen : $chosen->carrying($was);
        }
        foreach ($before->units as $chosen) {
            if (! $chosen->isAsked() && $this->unit($chosen->unit->id) === null) {
                $units[] = $chosen;
            }
        }

        return new self($units);
    }

    public function unit(string $id): ?Chosen
    {
        foreach ($this->units as $chosen) {
            if ($chosen->unit->id === $id) {
                return $chosen;
            }
        }

        return null;
    }

    /** With another unit, or the same one otherwise. */
    public function with(Chosen $added): self
    {
        $others = array_filter(
            $this->units,
            static fn (Chosen $c): bool => $c->unit->id !== $added->unit->id || $c->place !== $added->place,
        );

        return new self([...array_values($others), $added]);
    }

    public function without(Chosen $gone): self
    {
        return new self(array_values(array_filter($this->units, static fn (Chosen $c): bool => $c !== $gone)));
    }

    /** Without what stands at a place. */
    public function withoutPlace(Place $place): self
    {
        return new self(
            array_values(array_filter($this->units, static fn (Chosen $c): bool => $c->place !== $place)),
        );
    }

    /**
     * The parts of every unit, as it is where it stands.
     *
     * @param  array{cool: string, valve: string, board: string, heats: string, fan: string, hots: string}  $facts
     * @return list<array{string, Field, string, bool}>  place, parts, unit, whether it shares a cabinet
     */
    private function placed(array $facts): array
    {
        $served = $this->served();
        $panel = $this->panel() === null ? 'no' : 'yes';

        return array_map(
            static fn (Chosen $c): array => [
                $c->place->value,
                $c->unit->parts([
                    ...$facts,
                    ...$c->place === $served || $c->isOutdoorUnit() || $c->unit->role === 'panel'
                        ? []
                        : self::ALONE,
                    'panel' => $panel,
                    ...$c->options,
                ]),
                $c->unit->id,
                $c->isOutdoorUnit() && ! $c->place->isOutdoors(),
            ],
            $this->units,
        );
    }

    /** Where the unit stands that the outdoor unit works with: the one with the coil, else the first indoors. */
    private function served(): Place
    {
        $indoors = array_values(
            array_filter(
                $this->units,
                static fn (Chosen $c): bool => ! $c->isOutdoorUnit() &&
                    ! in_array($c->unit->role, ['panel', 'accessory'], true),
            ),
        );
        $coils = array_values(array_filter($indoors, static fn (Chosen $c): bool => $c->unit->role === 'coil'));

        return ($coils[0] ?? ($indoors[0] ?? null))->place ?? Place::Indoor;
    }

    private function panel(): ?Chosen
    {
        return array_values(
            array_filter($this->units, static fn (Chosen $c): bool => $c->unit->role === 'panel'),
        )[0] ?? null;
    }

    /** @return list<Place> where the thermostat's conductors land: at a panel, where there is one */
    private function boards(): array
    {
        $boards = [];
        foreach ($this->units as $chosen) {
            $is = $this->panel() === null ? ! $chosen->place->isOutdoors() : $chosen->unit->role !== 'accessory';
            $here = $this->panel() === null ? $chosen->place : $this->panel()->place;
            if ($is && ! in_array($here, $boards, true)) {
                $boards[] = $here;
            }
        }

        return $boards === [] ? [Place::Indoor] : $boards;
    }

    /** @return array{cool: string, valve: string, board: string, heats: string, fan: string, hots: string} */
    private function facts(): array
    {
        $facts = self::ALONE;
        $supplies = 0;
        foreach ($this->units as $chosen) {
            $given = $chosen->unit->facts($chosen->options);
            foreach (array_keys(self::ALONE) as $name) {
                $facts[$name] = $given[$name] ?? $facts[$name];
            }
            $supplies += $this->feedsThermostat($chosen) ? $chosen->unit->supplies($chosen->options) : 0;
        }

        return [...$facts, 'hots' => $supplies > 1 ? 'two' : 'one'];
    }

    /** Whether a unit's own supply brings one of the thermostat's hots. */
    private function feedsThermostat(Chosen $chosen): bool
    {
        return $chosen->unit->role !== 'accessory' && ($this->panel() === null || $chosen->unit->role === 'panel');
    }

    /**
     * What cannot be equipment, or cannot be planned for, is said.
     *
     * @param  array{cool: string, valve: string, board: string, heats: string, fan: string, hots: string}  $facts
     * @param  array{source: string, fan: string}  $heat
     * @param  array<string, list<string>>  $does
     * @param  int  $sources  of heat
     */
    private function hold(array $facts, array $heat, array $does, int $sources): void
    {
        $outdoor = array_filter($this->units, static fn (Chosen $c): bool => $c->isOutdoorUnit());
        $places = array_map(static fn (Chosen $c): string => "{$c->unit->id}@{$c->place->value}", $this->units);
        $blowing = $does['air'] ?? [];
        $why = match (true) {
            count($outdoor) > 1 => 'two-outdoor-units',
            count(array_unique($places)) < count($places) => 'same-unit-twice',
            count($this->units) === count($outdoor) => 'no-indoor-unit',
            array_filter(
                $outdoor,
                fn (Chosen $c): bool => ! $c->place->isOutdoors() && $c->place !== $this->served(),
            ) !== [] => 'cabinet-apart',
            $sources > 1 => 'two-heat-sources',
            count($does['humidify'] ?? []) > 1 => 'two-humidifiers',
            $this->panel() !== null && $this->humidityByBoard() => 'humidity-behind-panel',
            count($blowing) > 1 => 'two-blowers',
            $outdoor !== [] && $blowing === [] => 'no-blower',
            $facts['valve'] !== 'none' && $heat['source'] === 'hydronic' && $heat['fan'] === 'none' => 'radiators',
            $facts['valve'] !== 'none' && $facts['hots'] === 'two' => 'two-supplies',
            $outdoor === [] && $sources === 0 => 'nothing-to-call',
            default => null,
        };
        if ($why !== null) {
            throw new Unheld(Message::of('equipment.build.unheld', why: $why));
        }
    }

    /** Whether a board has a screw for a humidifier or to dehumidify, which a panel between does not pass on. */
    private function humidityByBoard(): bool
    {
        return array_filter(
            $this->units,
            static fn (Chosen $c): bool => ($c->options['humidifier'] ?? 'no') !== 'no' ||
                ($c->options['dehumidify'] ?? 'none') !== 'none',
        ) !== [];
    }

    /**
     * @param  array{source: string, stages: int}  $heat
     * @param  array<string, list<string>>  $does
     * @return array{valve: string, auxStages: int, emergency: string}
     */
    private function heatPump(string $valve, array $heat, array $does): array
    {
        $auxiliary = in_array($heat['source'], ['electric', 'hydronic'], true) ? $heat['stages'] : 0;
        $tied = array_filter($this->units, static fn (Chosen $c): bool => ($c->options['e'] ?? '') === 'tied');

        return [
            'valve' => $valve,
            'auxStages' => $auxiliary,
            'emergency' => match (true) {
                // A panel between has no E: it asks for the one heat.
                $auxiliary === 0, $this->panel() !== null => 'none',
                isset($does['emergency']) => 'own',
                $tied !== [] => 'tied',
                default => 'none',
            },
        ];
    }
}
