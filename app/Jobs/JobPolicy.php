<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Crew\User;
use App\Models\Job;

/** A crew sees and works its own jobs only, each person of it as far as their role goes. */
final class JobPolicy
{
    public function create(User $user): bool
    {
        return $user->role->works();
    }

    public function view(User $user, Job $job): bool
    {
        return $user->crew_id === $job->crew_id;
    }

    /** A job that was handed over is a record: it can be read, not worked. */
    public function work(User $user, Job $job): bool
    {
        return $this->view($user, $job) && $user->role->works() && $job->handed_over_at === null;
    }

    /** A practice copy of it, which leaves the job itself alone. */
    public function practise(User $user, Job $job): bool
    {
        return $this->view($user, $job) && $user->role->works();
    }

    /**
     * What belongs to the real job alone: its names and day, copies, signatures, the shelf. Practice has none of it.
     */
    public function keep(User $user, Job $job): bool
    {
        return $this->view($user, $job) && $user->role->works() && ! $job->isPractice();
    }

    /** What somebody answers for: that a call stays unproved, that the house is handed over, that a job goes away. */
    public function decide(User $user, Job $job): bool
    {
        return $this->view($user, $job) && $user->role->decides();
    }

    /** A link out of the crew, to the job as it is. */
    public function share(User $user, Job $job): bool
    {
        return $this->decide($user, $job) && ! $job->isPractice();
    }
}
