<?php

declare(strict_types=1);

namespace App\House;

use App\Models\OwnProfile;
use RuntimeException;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\ArchetypeReader;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Thermostat\ProfileReader;

/** The catalogue's files: equipment archetypes and thermostat profiles, read once per request. */
final class Catalog
{
    /** @var array<string, Archetype> */
    private array $archetypes = [];

    /** @var array<string, Profile> */
    private array $profiles = [];

    public function __construct(private readonly string $directory)
    {
    }

    public function archetype(string $id): Archetype
    {
        return $this->archetypes[$id] ??= ArchetypeReader::read($this->json("equipment/{$id}.json"));
    }

    public function profile(string $id): Profile
    {
        return $this->profiles[$id] ??= ProfileReader::read(
            in_array($id, $this->ids('thermostats'), true)
                ? $this->json("thermostats/{$id}.json")
                : $this->own($id),
        );
    }

    /** @return list<Archetype> */
    public function archetypes(): array
    {
        return array_map($this->archetype(...), $this->ids('equipment'));
    }

    /** @return list<Profile> */
    public function profiles(): array
    {
        return array_map($this->profile(...), $this->ids('thermostats'));
    }

    /** @return list<string> */
    public function ids(string $kind): array
    {
        return array_map(
            static fn (string $file): string => basename($file, '.json'),
            glob("{$this->directory}/{$kind}/*.json") ?: [],
        );
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
