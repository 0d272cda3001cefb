<?php

declare(strict_types=1);

namespace App\Jobs\File;

use App\Models\Job;
use Unionbit\Core\Planning\File\JobFile;

/** A job file that was looked at and may be written: what is in it, and the job that it goes on, where it is here. */
final readonly class ReadJob
{
    /**
     * @param  array<mixed>  $json
     * @param  ?string  $origin  id that the job had where its file was written; none for a copy
     * @param  ?Job  $here  whose difference it is
     */
    public function __construct(
        public JobFile $file,
        public array $json,
        public JobRecords $records,
        public ?string $origin,
        public ?Job $here,
    ) {
    }
}
