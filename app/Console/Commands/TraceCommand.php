<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TraceTalk;
use App\House\JobFiles;
use App\Words\Words;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Tracing\Protocol\Session;

final class TraceCommand extends JobCommand
{
    protected $signature = <<<'SIGNATURE'
    unionbit:trace
        {job : a job file}
        {--serve : JSON lines in and out, by docs/trace-protocol.md}
        {--complaint= : as "cool-1: outdoor-unit no, blower yes; fan: blower yes"}
        {--history=* : what happened before, as thermostat-changed}
        {--fault=* : faults of the catalogue in a simulated house that answers by itself}
    SIGNATURE;

    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    protected $description = 'Traces a fault of a house: suspects, the next test by information per minute, the repair';

    protected function answer(JobFile $job, JobFiles $files): int
    {
        $plan = $this->plan($job);
        if (! $this->option('serve')) {
            return (new TraceTalk($this, $plan, $files->faults()))->run(
                (string) $this->option('complaint'),
                array_values(array_filter((array) $this->option('history'), is_string(...))),
                $this->faults($files, $plan->circuit(), $this->option('fault')),
            );
        }
        $session = new Session($plan, $files->faults());
        while (($line = fgets(STDIN)) !== false) {
            if (trim($line) === '') {
                continue;
            }
            $answer = Words::spoken($session->answer(json_decode($line, true)));
            fwrite(STDOUT, json_encode($answer, self::JSON)."\n");
            fflush(STDOUT);
        }

        return self::ANSWERED;
    }
}
