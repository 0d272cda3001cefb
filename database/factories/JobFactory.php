<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Document\EditDocument;
use App\House\JobFiles;
use App\Models\Crew\Crew;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Site;
use App\Models\System;
use App\Plan\Edit\ChooseThermostat;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Words\Message;

/** @extends Factory<Job> a surveyed gas furnace with cooling: five conductors, all traced */
final class JobFactory extends Factory
{
    protected $model = Job::class;

    public function definition(): array
    {
        $house = app(JobFiles::class)->read(database_path('demo/lock-keepers-row-4.json'))->installation;

        return [
            'crew_id' => Crew::factory(),
            'kind' => 'replacement',
            'system_id' => static fn (array $given): string => System::factory()->create([
                'site_id' => Site::factory()->create(['crew_id' => $given['crew_id']])->id,
            ])->id,
            'survey' => SurveyFile::write($house),
            'plan' => null,
            'version' => 1,
        ];
    }

    public function configure(): static
    {
        return $this->afterCreating(static function (Job $job): void {
            $user =
                User::query()->where('crew_id', $job->crew_id)->oldest('id')->first() ??
                User::factory()->create(['crew_id' => $job->crew_id]);
            EditDocument::revise($job, $user, (string) Str::ulid(), Message::of('jobs.history.opened'));
        });
    }

    public function planned(string $profile = 'c-powered-1h-1c'): static
    {
        return $this->afterCreating(static function (Job $job) use ($profile): void {
            (new ChooseThermostat($profile))->apply(
                $job,
                User::query()->where('crew_id', $job->crew_id)->firstOrFail(),
            );
            $job->planned_at = now();
            $job->save();
        });
    }
}
