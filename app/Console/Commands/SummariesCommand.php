<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Jobs\Screen\JobSummaries;
use App\Models\Crew\Crew;
use App\Models\Job;
use App\Words\Words;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class SummariesCommand extends Command
{
    protected $signature = 'unionbit:summaries {--stamp= : all of them anew if this differs from the last time}';

    protected $description = 'Works out what the jobs screen says of each job, where it is not of the job as it stands';

    public function handle(): int
    {
        $stamp = $this->option('stamp');
        $file = storage_path('framework/summaries');
        if (is_string($stamp) && (! is_file($file) || file_get_contents($file) !== $stamp)) {
            DB::table('job_summaries')->update(['mark' => '']);
            file_put_contents($file, $stamp);
        }
        $done = 0;
        foreach (Crew::query()->orderBy('id')->get() as $crew) {
            $done += Words::in($crew->units, fn (): int => $this->of($crew));
        }
        $this->info($done === 1 ? '1 summary worked out.' : "{$done} summaries worked out.");

        return self::SUCCESS;
    }

    /** In the crew's own units; whoever has others has theirs worked out when they ask. */
    private function of(Crew $crew): int
    {
        $stale = JobSummaries::stale($crew->id)->pluck('jobs.id');
        foreach ($stale as $index => $id) {
            JobSummaries::keep(Job::query()->withTrashed()->whereKey($id)->sole());
            if (($index + 1) % 100 === 0) {
                $this->line($index + 1 .' of '.count($stale));
            }
        }

        return count($stale);
    }
}
