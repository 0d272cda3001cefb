<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use App\Models\User;
use App\Support\Catalog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Job\ExampleHouse;
use Unionbit\Core\Job\Facts;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SurveyFile;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;

/** Opens a job with an empty survey: the cables are there, their conductors are still to be seen. */
final readonly class CreateJob
{
    public const KINDS = ['installation', 'replacement', 'conversion', 'fault call', 'maintenance', 'follow-up'];

    private const OUTDOOR_FEET = 30.0;

    public function __construct(private Catalog $catalog)
    {
    }

    /** @param  float  $feet length of the thermostat cable, one way */
    public function __invoke(User $user, string $id, string $site, string $address, string $kind, string $archetypeId, float $feet, bool $example = false): Job
    {
        return DB::transaction(function () use ($user, $id, $site, $address, $kind, $archetypeId, $feet, $example): Job {
            $known = Job::query()->find($id);
            if ($known !== null) {
                return $known->crew_id === $user->crew_id ? $known : throw ValidationException::withMessages(['id' => 'This id belongs to another crew.']);
            }
            $archetype = $this->catalog->archetype($archetypeId);
            $cables = [new Cable('A', Place::Wall, Place::Indoor, 18, $feet, [])];
            if ($archetype->coolStages > 0) {
                $cables[] = new Cable('B', Place::Indoor, Place::Outdoor, 18, self::OUTDOOR_FEET, []);
            }
            $house = $example ? ExampleHouse::of($archetype, $feet, self::OUTDOOR_FEET) : new Installation($archetype, new Facts, $cables);
            $job = new Job;
            $job->forceFill([
                'id' => $id, 'crew_id' => $user->crew_id, 'site' => $site, 'address' => $address, 'kind' => $kind,
                'survey' => SurveyFile::write($house), 'plan' => null, 'version' => 1,
            ])->save();
            $job->refresh();
            EditDocument::revise($job, $user, (string) Str::ulid(), 'opened the job');

            return $job;
        });
    }
}
