<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Job;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Visit\Carry;
use Unionbit\Core\Visit\Task;
use Unionbit\Core\Wiring\Conductor;

/**
 * What the jobs screen says of a house without opening it. It takes the whole circuit to say, and changes only with the
 * job's mark: so it is worked out once for each mark. What depends on the clock, the power flag, is not in here.
 *
 * @phpstan-type Segment array{key: string, name: string, state: string, word: string, n: int, done: int}
 */
final readonly class JobSummary
{
    private const A_WEEK = 7 * 24 * 3600;

    /**
     * @param  string  $words  everything the house itself can be found by
     * @param  list<array{colour: string, landed: bool}>  $strands
     * @param  list<Segment>  $tape
     * @param  list<string>  $restore
     * @param  int  $minutes  still to work
     * @param  int  $waits  minutes of them that are the equipment's
     * @param  ?string  $two  the first task that takes two people
     * @param  list<array{count: int, item: string, why: string}>  $carry
     */
    private function __construct(
        public string $words,
        public string $equipment,
        public string $cable,
        public array $strands,
        public array $tape,
        public array $restore,
        public int $minutes,
        public int $waits,
        public ?string $two,
        public array $carry,
    ) {
    }

    public static function of(Job $job): self
    {
        $known = Cache::remember("job-summary/{$job->id}/".Pulse::of($job), self::A_WEEK, static fn (): array => get_object_vars(self::compute($job)));

        return new self(...$known);
    }

    private static function compute(Job $job): self
    {
        $house = $job->house();
        $installation = $house->installation;
        $progress = Progress::of($job);
        $work = JobWork::of($job, $progress);
        $wall = $installation->wallCable();
        $conductors = $wall->conductors ?? [];

        return new self(
            self::words($house),
            $installation->archetype->short,
            $wall === null || $conductors === [] ? 'not seen yet' : $wall->label(),
            array_map(static fn (Conductor $c): array => ['colour' => $c->colour->value, 'landed' => ! $c->isSpare()], $conductors),
            array_map(static fn (array $s): array => ['key' => $s['key'], 'name' => $s['name'], 'state' => $s['state'], 'word' => $s['word'], 'n' => $s['n'], 'done' => $s['done']], $progress->tape()),
            $progress->restore(),
            $work->minutes(),
            $work->waits(),
            array_values(array_filter($work->tasks, static fn (Task $t): bool => $t->two))[0]->label ?? null,
            Carry::of($installation, $house->plan),
        );
    }

    private static function words(House $house): string
    {
        $letters = [];
        foreach ($house->installation->cables as $cable) {
            foreach ($cable->conductors as $conductor) {
                array_push($letters, $conductor->near->terminal, $conductor->far->terminal);
            }
        }

        return implode(' ', array_filter([
            $house->installation->archetype->title, $house->installation->archetype->short, $house->plan?->profile->title,
            $house->installation->answers->choice('outdoorModel'), $house->installation->answers->choice('history'), implode(' ', array_unique(array_filter($letters))),
        ]));
    }
}
