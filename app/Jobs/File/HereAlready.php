<?php

declare(strict_types=1);

namespace App\Jobs\File;

use App\Models\Job;
use RuntimeException;

/** The crew has the job of this file: a person says whether to open it, copy it or bring the difference. */
final class HereAlready extends RuntimeException
{
    /** @param  int  $new  records of the file that the job here has not */
    public function __construct(public readonly Job $job, public readonly int $new)
    {
        parent::__construct('This job is here already.');
    }
}
