<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\User;

/** A crew sees and works its own jobs only. */
final class JobPolicy
{
    public function create(User $user): bool
    {
        return $user->exists;
    }

    public function view(User $user, Job $job): bool
    {
        return $user->crew_id === $job->crew_id;
    }

    /** A job that was handed over is a record: it can be read, not worked. */
    public function work(User $user, Job $job): bool
    {
        return $this->view($user, $job) && $job->handed_over_at === null;
    }

    /**
     * What belongs to the real job alone: its names and day, copies, signatures, the shelf. Practice has none of it.
     */
    public function keep(User $user, Job $job): bool
    {
        return $this->view($user, $job) && ! $job->isPractice();
    }
}
