<?php

declare(strict_types=1);

namespace App\House;

use App\Models\OwnProfile;
use Illuminate\Support\Str;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Thermostat\ProfileCheck;
use Unionbit\Core\Thermostat\ProfileReader;
use Unionbit\Core\Words\Message;

/** The thermostats that a crew can choose from: the catalogue's and its own. */
final readonly class ProfileShelf
{
    private const MOST = 60;

    public function __construct(private Catalog $catalog)
    {
    }

    /** @return list<Profile> */
    public function of(int $crewId): array
    {
        $own = OwnProfile::query()->where('crew_id', $crewId)->orderBy('created_at')->get();

        return [
            ...$this->catalog->profiles(),
            ...array_values(
                $own->map(static fn (OwnProfile $p): Profile => ProfileReader::read($p->profile))->all(),
            ),
        ];
    }

    public function find(int $crewId, string $id): ?Profile
    {
        foreach ($this->of($crewId) as $profile) {
            if ($profile->id === $id) {
                return $profile;
            }
        }

        return null;
    }

    /**
     * Puts a profile on the crew's shelf under an id of its own; the very same profile again is the one that is there.
     *
     * @throws InvalidData
     */
    public function keep(int $crewId, mixed $json): Profile
    {
        $given = ProfileReader::read(is_array($json) ? ['id' => 'own', ...$json] : $json);
        ProfileCheck::check($given);
        $json = (array) $json;
        unset($json['id']);
        foreach (OwnProfile::withTrashed()->where('crew_id', $crewId)->get() as $own) {
            if (array_diff_key($own->profile, ['id' => true]) == $json) {
                $own->restore();

                return ProfileReader::read($own->profile);
            }
        }
        if (OwnProfile::query()->where('crew_id', $crewId)->count() >= self::MOST) {
            throw InvalidData::unreadable(
                '',
                Message::of('house.profile-shelf.shelf-holds-profiles-your-own', most: self::MOST),
            );
        }
        $id = 'own-'.strtolower((string) Str::ulid());
        OwnProfile::query()->create(['id' => $id, 'crew_id' => $crewId, 'profile' => ['id' => $id, ...$json]]);

        return ProfileReader::read(['id' => $id, ...$json]);
    }
}
