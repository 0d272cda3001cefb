<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Job;
use App\Words\Words;
use Illuminate\Support\Str;
use Unionbit\Core\Words\Message;

/**
 * What a job as a whole is, where it is no ordinary one: demo data, or practice. The mark stands on every page, paper
 * and file of it, in words and in the file's name.
 */
final class JobMark
{
    /** Two words for a column or a row; null for an ordinary job. */
    public static function of(Job $job): ?Message
    {
        return match (true) {
            $job->isPractice() => Message::of('house.job-mark.practice'),
            (bool) $job->demo => Message::of('house.job-mark.demo-data'),
            default => null,
        };
    }

    /** The banner; null for an ordinary job. */
    public static function says(Job $job): ?Message
    {
        return match (true) {
            $job->isPractice() => Message::of('house.job-mark.practice-on-copy-nothing-here'),
            (bool) $job->demo => Message::of('house.job-mark.demo-data-readings-made-by'),
            default => null,
        };
    }

    /** A file's name: "demo-data-tollhouse-system-readings.csv". */
    public static function fileName(Job $job, string $what): string
    {
        return Str::slug(
            trim(Words::say(self::of($job) ?? Message::none())." {$job->site} {$job->system_name}"),
        ).
            ($what[0] === '.' ? '' : '-').
            $what;
    }

    /**
     * Rows of a table with the mark in a column of its own, where there is one.
     *
     * @param  list<array<mixed>>  $rows
     * @return list<array<mixed>>
     */
    public static function rows(Job $job, array $rows): array
    {
        $mark = self::of($job);

        return $mark === null
            ? $rows
            : array_map(static fn (array $row): array => [...$row, 'mark' => Words::say($mark)], $rows);
    }
}
