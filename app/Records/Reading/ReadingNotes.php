<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\Models\Job;
use App\Models\Record\Reading;
use App\Models\Record\ReadingMark;
use App\Records\Step\StepRecord;

/**
 * What is said of a job's readings beside themselves: flags and explanations, and the reason by all readings of a
 * call.
 */
final readonly class ReadingNotes
{
    /** @param  array<ReadingMark>  $marks  by reading: the last of each reading that has one */
    private function __construct(private array $marks, private JointReasons $reasons)
    {
    }

    /** @param  ?array<string, StepRecord>  $steps  of the job, where they are at hand */
    public static function of(Job $job, ?array $steps = null): self
    {
        $marks = $job->counting($job->readingMarks())->get()->keyBy('reading_id')->all();

        return new self($marks, JointReasons::of($job, $steps));
    }

    /** @return list<string> readings that carry a mark */
    public function marked(): array
    {
        return array_map(strval(...), array_keys($this->marks));
    }

    /** @return array{reason: string, candidates: list<string>, unexplained: bool, note: string} */
    public function on(Reading $reading): array
    {
        $mark = $this->marks[$reading->id] ?? null;

        return [
            'reason' => $this->reasons->reason($reading),
            'candidates' => $this->reasons->candidates($reading),
            'unexplained' => $mark->unexplained ?? false,
            'note' => $mark->note ?? '',
        ];
    }
}
