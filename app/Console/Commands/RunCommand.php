<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\JobFiles;
use Unionbit\Core\Bench\TimeMachine;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Planning\File\JobFile;

final class RunCommand extends JobCommand
{
    protected $signature = <<<'SIGNATURE'
    unionbit:run
        {job : a job file}
        {--call=idle}
        {--seconds=600 : simulated seconds from power-on}
        {--until= : second at which the call ends}
        {--fault=* : a fault of the catalogue; several come together}
        {--float-at= : second at which the pan is full}
        {--test-breaker : a resettable breaker in the fuse's place}
        {--seed=1}
        {--table}
    SIGNATURE;

    protected $description = 'A house in simulated seconds: what happens when, with a call and with a fault';

    protected function answer(JobFile $job, JobFiles $files): int
    {
        $circuit = $this->plan($job)->circuit();
        $machine = new TimeMachine(
            $circuit,
            $this->fault($files, $circuit, $this->option('fault')),
            $this->whole('seed', 1_000_000) ?? 1,
            $this->whole('float-at', 86_400),
            (bool) $this->option('test-breaker'),
        );
        $events = $machine->run(
            $this->callNamed($this->option('call'), $job),
            $this->whole('seconds', 86_400) ?? 600,
            0,
            $this->whole('until', 86_400),
        );
        if ($this->option('table')) {
            $this->table(
                ['second', 'what'],
                array_map(static fn (array $e): array => [$e['t'], $e['what']], $events),
            );
        } else {
            $this->json($events);
        }

        return self::ANSWERED;
    }

    private function whole(string $option, int $most): ?int
    {
        $value = $this->option($option);
        if ($value === null) {
            return null;
        }

        return is_string($value) && ctype_digit($value) && (int) $value <= $most
            ? (int) $value
            : throw InvalidData::notAllowed("--{$option}", $value, "a whole number from 0 to {$most}");
    }
}
