<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

/**
 * What each call needs, from what the parts do: a compressor needs air and its valve in the right place, strips need
 * air, a furnace brings its own, radiators need none, defrost needs heat indoors.
 */
final readonly class Calls
{
    /** Loads that may be in beside what a call needs: the valve where it was left, and what emergency heat brings. */
    private const MAY = ['valve' => ['idle', 'furnace-1', 'furnace-2', 'emergency'], 'emergency' => ['emergency']];

    /**
     * @param  array<string, list<string>>  $does  load ids by what they do: air, compressor, compressor-2, valve,
     *     heat-1, heat-2, emergency, humidify, dehumidify, full-air (what opens to dehumidify); ask-air and so on what
     *     a panel hears of it
     * @param  string  $valve  O, B or none
     * @param  string  $source  gas, oil, electric, hydronic or none
     * @param  bool  $airWithHeat  the thermostat has to call the air for the heat
     */
    public function __construct(
        private array $does,
        private string $valve,
        private string $source,
        private bool $airWithHeat,
    ) {
    }

    /** @return array<string, list<string>> load ids by call, in the order of the calls */
    public function needs(): array
    {
        $heat = $this->airWithHeat ? ['heat-1', 'air'] : ['heat-1'];
        $second = [...$heat, 'heat-2'];
        $cool = $this->valve === 'O' ? ['compressor', 'air', 'valve'] : ['compressor', 'air'];
        $warm = $this->valve === 'B' ? ['compressor', 'air', 'valve'] : ['compressor', 'air'];
        $top = isset($this->does['compressor-2']) ? [...$warm, 'compressor-2'] : $warm;
        $furnace = in_array($this->source, ['gas', 'oil'], true);
        $full = isset($this->does['full-air']) ? [...$cool, 'full-air'] : $cool;
        $calls = ['idle' => [], 'fan' => ['air'], 'cool-1' => $full, 'cool-2' => [...$full, 'compressor-2']];
        if ($this->valve === 'none') {
            return $this->loads([
                ...$calls,
                'heat-1' => $heat,
                'heat-2' => $second,
                ...$this->humidity($cool, $heat),
            ]);
        }
        $calls = [...$calls, 'heat-1' => $warm, 'heat-2' => [...$warm, 'compressor-2']];
        $calls = $furnace
            ? [...$calls, 'furnace-1' => $heat, 'furnace-2' => $second]
            : [
                ...$calls,
                'aux-1' => [...$top, 'heat-1'],
                'aux-2' => [...$top, 'heat-1', 'heat-2'],
                'emergency' => ['heat-1', 'air'],
            ];
        $defrost = isset($this->does['heat-1']) ? [...$cool, 'heat-1'] : $cool;

        return $this->loads(
            [...$calls, ...$this->humidity($cool, $heat), 'defrost' => $defrost],
            ['defrost' => $warm],
        );
    }

    /**
     * A humidifier waters while air moves; to dehumidify is to cool with less of it.
     *
     * @param  list<string>  $cool
     * @param  list<string>  $heat
     * @return array<string, list<string>> doings by call
     */
    private function humidity(array $cool, array $heat): array
    {
        $air = isset($this->does['air']) ? ['air'] : $heat;

        return [
            'humidify' => ['humidify', ...$air],
            'dehumidify' => isset($this->does['full-air']) ? $cool : [...$cool, 'dehumidify'],
        ];
    }

    /**
     * @param  list<string>  $calls  that there are
     * @return array<string, list<string>> load ids that may be in besides, by call
     */
    public function allows(array $calls): array
    {
        $allows = [];
        foreach (self::MAY as $doing => $in) {
            foreach (array_intersect($in, $calls) as $call) {
                $allows[$call] = [...$allows[$call] ?? [], ...$this->does[$doing] ?? []];
            }
        }
        if (isset($allows['emergency'])) {
            $allows['emergency'] = [...$allows['emergency'], ...$this->does['heat-2'] ?? []];
        }

        foreach (array_diff($calls, ['dehumidify']) as $call) {
            $allows[$call] = [...$allows[$call] ?? [], ...$this->does['full-air'] ?? []];
        }

        return array_filter($allows, static fn (array $loads): bool => $loads !== []);
    }

    /**
     * @param  array<string, list<string>>  $calls  doings by call
     * @param  array<string, list<string>>  $asks  what the thermostat asks for, where that is something else: a panel
     *     between hears only that
     * @return array<string, list<string>> only of calls for which every doing has something that does it
     */
    private function loads(array $calls, array $asks = []): array
    {
        $needs = [];
        foreach ($calls as $call => $doings) {
            if (array_diff($doings, array_keys($this->does)) === []) {
                $needs[$call] = array_merge(
                    [],
                    ...array_map(fn (string $doing): array => $this->does[$doing], $doings),
                    ...array_map(
                        fn (string $doing): array => $this->does["ask-{$doing}"] ?? [],
                        $asks[$call] ?? $doings,
                    ),
                );
            }
        }

        return $needs;
    }
}
