<?php

declare(strict_types=1);

namespace App\House;

use App\Models\OwnProfile;
use Illuminate\Support\Facades\Cache;
use RuntimeException;
use Unionbit\Core\Data\Field;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Build\Shelf;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Thermostat\ProfileReader;
use Unionbit\Core\Wiring\Conductor;

/** The catalogue's files: units, equipment and thermostat profiles, read once per request. */
final class Catalog
{
    private ?Shelf $shelf = null;

    /** @var array<string, Profile> */
    private array $profiles = [];

    public function __construct(private readonly string $directory)
    {
    }

    public function archetype(string $id): Archetype
    {
        return $this->shelf()->archetype($id);
    }

    /** Equipment: its units, the named examples of it, and what else the units make. */
    public function shelf(): Shelf
    {
        return $this->shelf ??= Shelf::read(
            array_map(fn (string $id): mixed => $this->json("units/{$id}.json"), $this->ids('units')),
            array_values((array) $this->json('equipment.json')),
        );
    }

    public function profile(string $id): Profile
    {
        return $this->profiles[$id] ??= ProfileReader::read(
            in_array($id, $this->ids('thermostats'), true)
                ? $this->json("thermostats/{$id}.json")
                : $this->own($id),
        );
    }

    /** @return array<string, Field> houses that are more than the plain one of their equipment, by id */
    public function houses(): array
    {
        $houses = [];
        foreach (array_values((array) $this->json('houses.json')) as $json) {
            $house = Field::root($json);
            $houses[$house->string('id')] = $house;
        }

        return $houses;
    }

    /** The house of an example: of a name of its own, or the plain one of some equipment. */
    public function example(string $id): Installation
    {
        $house = $this->houses()[$id] ?? null;

        return $house === null
            ? ExampleHouse::of($this->archetype($id))
            : ExampleHouse::named($house, $this->archetype($house->string('equipment')));
    }

    /** The profile that an example is planned with: one that drives all that stands in the house. */
    public function exampleThermostat(Installation $house): string
    {
        $meanings = array_map(
            static fn (Conductor $c): ?TerminalName => $house->meaning($c),
            $house->wallConductors(),
        );
        $powered = in_array(TerminalName::C, $meanings, true);
        $humidity = array_any($meanings, static fn (?TerminalName $name): bool => $name?->isAccessory() === true);

        return match (true) {
            $powered && $humidity => 'c-powered-humidity',
            $powered => 'c-powered-3h-2c',
            $house->archetype->heatPump === null => 'battery-1h-1c',
            default => 'battery-2h-1c-heat-pump',
        };
    }

    /**
     * What equipment there is to choose from: put together from its units once for each state of the catalogue's files.
     *
     * @return list<array{id: string, title: string}>
     */
    public function equipment(): array
    {
        $files = [...glob("{$this->directory}/units/*.json") ?: [], "{$this->directory}/equipment.json"];
        $state = md5(implode('|', array_map(static fn (string $file): string => $file.filemtime($file), $files)));

        return Cache::rememberForever(
            "catalog/equipment/{$state}",
            fn (): array => array_map(
                fn (string $id): array => ['id' => $id, 'title' => $this->archetype($id)->title],
                $this->shelf()->ids(),
            ),
        );
    }

    /** @return list<Profile> */
    public function profiles(): array
    {
        return array_map($this->profile(...), $this->ids('thermostats'));
    }

    /** @return list<string> */
    public function ids(string $kind): array
    {
        $files = glob("{$this->directory}/{$kind}/*.json") ?: [];
        if ($files === []) {
            throw new RuntimeException("The catalog has no {$kind}.");
        }

        return array_map(static fn (string $file): string => basename($file, '.json'), $files);
    }

    /**
     * @return array<string, mixed> a crew's own profile, one that was put away included: plans keep what they were
     *     made with
     */
    private function own(string $id): array
    {
        return OwnProfile::withTrashed()->findOrFail($id)->profile;
    }

    private function json(string $file): mixed
    {
        $path = "{$this->directory}/{$file}";
        if (! is_file($path)) {
            throw new RuntimeException("The catalogue has no {$file}.");
        }

        return json_decode((string) file_get_contents($path), true, flags: JSON_THROW_ON_ERROR);
    }
}
