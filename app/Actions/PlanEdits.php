<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use App\Support\Catalog;
use App\Support\SurveyReadings;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Finding;
use Unionbit\Core\Planning\LetterToLetter;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Plan;
use Unionbit\Core\Planning\PlanFile;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;

/** The edits that a plan takes. Each returns what was done in words. */
final class PlanEdits
{
    /** Chooses a thermostat and lands every conductor letter to letter on it. */
    public static function choose(Job $job, string $profileId): string
    {
        $catalog = app(Catalog::class);
        if (! in_array($profileId, $catalog->ids('thermostats'), true)) {
            throw ValidationException::withMessages(['profile' => "There is no thermostat profile {$profileId}. Use ".implode(', ', $catalog->ids('thermostats')).'.']);
        }
        self::refuseStopped($job);
        $profile = $catalog->profile($profileId);
        $house = $job->house()->installation;
        self::save($job, new Plan($house, $profile, LetterToLetter::landing($house, $profile)));

        return "chose {$profile->title}";
    }

    /** @param  ?string  $screw printed terminal of the plate; null caps the conductor */
    public static function land(Job $job, int $number, ?string $screw): string
    {
        $plan = self::plan($job);
        $conductor = $plan->installation->wallCable()?->conductor($number) ?? throw ValidationException::withMessages(['number' => "There is no conductor {$number} at the wall."]);
        if ($screw !== null && $plan->profile->terminal($screw) === null) {
            $has = implode(', ', array_map(static fn ($t): string => $t->printed, $plan->profile->terminals));
            throw ValidationException::withMessages(['screw' => "No terminal {$screw} on this plate. It has {$has}."]);
        }
        self::save($job, new Plan($plan->installation, $plan->profile, $plan->landing->onWall($number, $screw === null ? End::free(EndState::Capped) : End::landed($screw))));

        return $screw === null ? "caps {$conductor->name()}" : "lands {$conductor->name()} on {$screw}";
    }

    public static function link(Job $job, bool $in): string
    {
        $plan = self::plan($job);
        self::save($job, new Plan($plan->installation, $plan->profile, $plan->landing->withLink($in)));

        return $in ? 'link in' : 'link out';
    }

    /** Takes the plan for the job: only one without a finding that blocks. */
    public static function use(Job $job): string
    {
        self::refuseStopped($job);
        $blocking = array_filter(MappingRules::check(self::plan($job)), static fn (Finding $f): bool => $f->severity->blocks());
        if ($blocking !== []) {
            throw ValidationException::withMessages(['plan' => array_map(static fn (Finding $f): string => "{$f->code}: {$f->title}. {$f->action}", array_values($blocking))]);
        }
        $job->planned_at = now();

        return 'uses this plan';
    }

    /** A stop of the screening really stops: nothing is planned or landed past it. */
    public static function refuseStopped(Job $job): void
    {
        $stops = SurveyReadings::stops($job);
        if ($stops !== []) {
            throw ValidationException::withMessages(['stop' => array_map(static fn (Finding $f): string => "{$f->code}: {$f->title}. {$f->action}", $stops)]);
        }
    }

    private static function plan(Job $job): Plan
    {
        return $job->house()->plan ?? throw ValidationException::withMessages(['profile' => 'Choose a thermostat first.']);
    }

    private static function save(Job $job, Plan $plan): void
    {
        $job->plan = PlanFile::write($plan);
        $job->planned_at = null;
    }
}
