<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\ArchetypeReader;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** The units of one house with their options, and the equipment that they make together. */
final readonly class Composition
{
    /** What a unit does not know of the rest of the house unless another unit says so. */
    private const ALONE = ['cool' => '0', 'valve' => 'none', 'board' => 'no'];

    /** Characters of a short name. */
    private const SHORT = 24;

    /** @var list<Chosen> indoors first, outdoors last */
    public array $units;

    /** @param  list<Chosen>  $units */
    public function __construct(array $units)
    {
        $out = static fn (Chosen $chosen): int => (int) ($chosen->unit->place === Place::Outdoor);
        usort($units, static fn (Chosen $a, Chosen $b): int => $out($a) <=> $out($b));
        $this->units = $units;
    }

    public function key(): string
    {
        return implode('+', array_map(static fn (Chosen $unit): string => $unit->key(), $this->units));
    }

    /** @return array<string, array<string, string>> the options that questions decide, by unit */
    public function asked(): array
    {
        $asked = [];
        foreach ($this->units as $chosen) {
            $asked[$chosen->unit->id] = array_filter(
                $chosen->options,
                static fn (string $key): bool => $chosen->unit->options[$key]->answer !== null,
                ARRAY_FILTER_USE_KEY,
            );
        }
        ksort($asked);

        return $asked;
    }

    /** @throws Unheld */
    public function archetype(string $id, ?string $title, ?string $short): Archetype
    {
        $facts = $this->facts();
        $parts = new JoinedParts(
            array_map(
                static fn (Chosen $c): array => [
                    $c->unit->place->value,
                    $c->unit->parts([...$facts, ...$c->options]),
                ],
                $this->units,
            ),
        );
        $heat = $parts->heat();
        $does = $parts->does();
        $calls = new Calls($does, $facts['valve'], $heat['source'], $heat['fan'] === 'thermostat');
        $needs = $calls->needs();
        $this->hold($facts, $heat, $does, $parts->heatSources());
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
            'heatPump' => $facts['valve'] === 'none' ? null : $this->heatPump($facts['valve'], $heat, $does),
            'terminals' => $parts->terminals($facts['valve'] !== 'none'),
            'transformers' => $parts->transformers(),
            'loads' => $parts->each('loads'),
            'switches' => $parts->each('switches'),
            'ties' => $parts->ties(),
            'modes' => $parts->modes(),
            'needs' => $needs,
            'allows' => $calls->allows(array_keys($needs)),
            'delays' => $parts->delays(),
        ]);
    }

    /** @return array{cool: string, valve: string, board: string, hots: string} */
    private function facts(): array
    {
        $facts = self::ALONE;
        $supplies = 0;
        foreach ($this->units as $chosen) {
            $given = $chosen->unit->facts($chosen->options);
            foreach (array_keys(self::ALONE) as $name) {
                $facts[$name] = $given[$name] ?? $facts[$name];
            }
            $supplies += $chosen->unit->supplies($chosen->options);
        }

        return [...$facts, 'hots' => $supplies > 1 ? 'two' : 'one'];
    }

    /**
     * What cannot be equipment, or cannot be planned for, is said.
     *
     * @param  array{cool: string, valve: string, board: string, hots: string}  $facts
     * @param  array{source: string, fan: string}  $heat
     * @param  array<string, list<string>>  $does
     * @param  int  $sources  of heat
     */
    private function hold(array $facts, array $heat, array $does, int $sources): void
    {
        $outdoor = array_filter($this->units, static fn (Chosen $c): bool => $c->unit->place === Place::Outdoor);
        $blowing = $does['air'] ?? [];
        $why = match (true) {
            count($outdoor) > 1 => 'two-outdoor-units',
            count($this->units) === count($outdoor) => 'no-indoor-unit',
            $sources > 1 => 'two-heat-sources',
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
                $auxiliary === 0 => 'none',
                isset($does['emergency']) => 'own',
                $tied !== [] => 'tied',
                default => 'none',
            },
        ];
    }
}
