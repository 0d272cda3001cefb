<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\JobFiles;
use App\Words\Words;
use Illuminate\Console\Command;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Planning\Plan\FoundPlan;
use Unionbit\Core\Planning\Plan\Plan;

/**
 * A command that asks the circuit of a job file. Exit codes: 0 answered; 1 answered, and the answer is a no (a call
 * not proved, a reading refused); 2 the job file or an option cannot be used, with what is wrong on standard error.
 */
abstract class JobCommand extends Command
{
    public const ANSWERED = 0;

    public const NO = 1;

    public const UNUSABLE = 2;

    /** Ids that are named where one is not known. */
    private const NEAREST = 5;

    public function handle(JobFiles $files): int
    {
        try {
            return $this->answer($files->read((string) $this->argument('job')), $files);
        } catch (InvalidData $problem) {
            $this->output->getErrorStyle()->writeln("{$problem->pointer}: ".Words::say($problem->problem));

            return self::UNUSABLE;
        }
    }

    /** @throws InvalidData */
    abstract protected function answer(JobFile $job, JobFiles $files): int;

    /** The planned thermostat, else the one that was found where enough is known of it. */
    protected function plan(JobFile $job): Plan
    {
        return $job->plan ??
            (FoundPlan::of($job->installation) ??
                throw InvalidData::missing('/thermostat', 'the id of a thermostat, or a profile of your own'));
    }

    protected function callNamed(mixed $name, JobFile $job): CallName
    {
        $calls = CallTable::needed($job->installation->archetype)->calls();
        $call = is_string($name) ? CallName::tryFrom($name) : null;

        return $call !== null && in_array($call, $calls, true)
            ? $call
            : throw InvalidData::notAllowed(
                '--call',
                $name,
                implode(', ', array_map(static fn (CallName $c): string => $c->value, $calls)),
            );
    }

    protected function fault(JobFiles $files, Circuit $circuit, mixed $wanted): ?Fault
    {
        $found = $this->faults($files, $circuit, $wanted);

        return $found === [] ? null : Fault::together(...$found);
    }

    /** @return list<Fault> */
    protected function faults(JobFiles $files, Circuit $circuit, mixed $wanted): array
    {
        $catalogue = $files->faults();
        $found = [];
        foreach (is_array($wanted) ? $wanted : [] as $id) {
            $found[] =
                $catalogue->find($circuit, is_string($id) ? $id : '') ??
                throw InvalidData::notAllowed(
                    '--fault',
                    $id,
                    'a fault of this house, as '.implode(', ', self::nearest($catalogue->of($circuit), $id)),
                );
        }

        return $found;
    }

    /**
     * A readable table: what a cell tells is said in words.
     *
     * @param  array<mixed>  $headers
     * @param  iterable<mixed>  $rows
     * @param  array<int, string|\Symfony\Component\Console\Helper\TableStyle>  $columnStyles
     */
    public function table($headers, $rows, $tableStyle = 'default', array $columnStyles = []): void
    {
        $said = array_map(
            static fn (mixed $row): array => Words::spoken((array) $row),
            is_array($rows) ? $rows : iterator_to_array($rows),
        );
        parent::table((array) $headers, $said, $tableStyle, $columnStyles);
    }

    /**
     * @param  list<Fault>  $faults
     * @return list<string> ids of those that are spelled most like what was asked for
     */
    private static function nearest(array $faults, mixed $wanted): array
    {
        $ids = array_map(static fn (Fault $f): string => $f->id, $faults);
        $asked = is_string($wanted) ? $wanted : '';
        usort($ids, static fn (string $a, string $b): int => levenshtein($asked, $a) <=> levenshtein($asked, $b));

        return array_slice($ids, 0, self::NEAREST);
    }

    /** @param  array<mixed>  $data */
    protected function json(array $data): void
    {
        $this->output->writeln(
            json_encode(
                Words::told($data),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            ),
        );
    }
}
