<?php

declare(strict_types=1);

namespace App\Jobs;

use App\House\Catalog;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\EquipmentFrom;
use Unionbit\Core\Job\Facts;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Suggest\EquipmentMatch;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;

/** Opens a job with an empty survey: the cables are there, their conductors are still to be seen. */
final readonly class CreateJob
{
    public function __construct(private Catalog $catalog)
    {
    }

    /**
     * @param  ?string  $archetypeId  null where nobody has seen the equipment yet: the survey asks
     * @param  float  $feet  length of the thermostat cable, one way
     */
    public function __invoke(
        User $user,
        string $id,
        SitePlace $place,
        string $kind,
        ?string $archetypeId,
        float $feet,
        bool $example = false,
    ): Job {
        $archetype = $this->catalog->archetype($archetypeId ?? 'furnace-gas-1h-1c');
        $cables = [new Cable('A', Place::Wall, Place::Indoor, 18, $feet, [])];
        if ($archetype->coolStages > 0) {
            $cables[] = Cable::toOutdoors();
        }
        $answers =
            $archetypeId === null
                ? new Answers()
                : EquipmentMatch::answersOf($this->catalog->shelf(), $archetypeId)->with('supplies', null);
        $house = $example
            ? ExampleHouse::of($archetype, $feet, Cable::OUTDOOR_FEET)
            : new Installation(
                $archetype,
                new Facts(),
                $cables,
                [],
                $answers,
                equipmentFrom: $archetypeId === null ? EquipmentFrom::Nobody : EquipmentFrom::Person,
            );

        return OpenJob::with($user, $id, $place, $kind, $house, Message::of('jobs.history.opened'));
    }
}
