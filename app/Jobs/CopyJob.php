<?php

declare(strict_types=1);

namespace App\Jobs;

use App\House\House;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Visit\AsLeft;
use Unionbit\Core\Words\Message;

/** Another job from one that is there: the next visit, a sister system of the site, or a house like it. */
final class CopyJob
{
    public const AS = ['visit', 'sister', 'duplicate'];

    /** @param  string  $name  of the sister system, or of the house like it */
    public static function make(User $user, string $id, Job $job, string $as, string $kind, string $name): Job
    {
        $left = self::left($job);

        return match ($as) {
            'visit' => OpenJob::with(
                $user,
                $id,
                SitePlace::known($job->system_id),
                $kind,
                $left,
                Message::of('jobs.history.followed', day: $job->created_at->format('j M Y')),
                ['earlier_id' => $job->id],
            ),
            'sister' => OpenJob::with(
                $user,
                $id,
                SitePlace::sister($job->system->site_id, $name),
                $kind,
                AsLeft::sister($left),
                Message::of('jobs.history.sister', system: $job->system->name),
            ),
            default => OpenJob::with(
                $user,
                $id,
                SitePlace::fresh($name, $job->address),
                $kind,
                AsLeft::sister($left),
                Message::of('jobs.history.copied', site: $job->site),
            ),
        };
    }

    /** What the job leaves on the wall: as landed once every move is ticked, as found until then. */
    private static function left(Job $job): Installation
    {
        $house = House::of($job);

        return $house->plan !== null && $job->handed_over_at !== null
            ? AsLeft::landed($house->plan)
            : $house->installation;
    }
}
