<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TraceTalk;
use App\House\JobFiles;
use App\Words\Words;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Tracing\Protocol\Session;
use Unionbit\Core\Words\Message;

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

    /** @var array<string, string> sentences already said, by message */
    private static array $known = [];

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
            fwrite(STDOUT, self::encoded($session->answer(json_decode($line, true)))."\n");
            fflush(STDOUT);
        }

        return self::ANSWERED;
    }

    /** @param  array<string, mixed>  $answer */
    private static function encoded(array $answer): string
    {
        return json_encode(
            self::said($answer),
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        );
    }

    private static function said(mixed $part): mixed
    {
        return match (true) {
            $part instanceof Message => (self::$known[$part->key()] ??= Words::say($part)),
            is_array($part) => array_map(self::said(...), $part),
            default => $part,
        };
    }
}
