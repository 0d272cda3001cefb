<?php

declare(strict_types=1);

namespace App\Jobs\Screen;

use App\House\House;
use App\Models\Job;
use App\Models\Kind\PowerState;
use App\Models\Kind\Stage;
use App\Records\Power\PowerFlag;
use App\Records\Progress\Progress;
use App\Words\Words;
use Throwable;
use Unionbit\Core\Terminal\TradeWords;
use Unionbit\Core\Visit\Carry;
use Unionbit\Core\Visit\SearchWords;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/**
 * What the jobs screen says of a house without opening it. It takes the whole circuit to say, and changes only with the
 * job's mark: `JobSummaries` keeps it until then. Only the lapse of the power flag depends on the clock.
 *
 * @phpstan-type Segment array{key: string, name: string, state: string, word: string, n: int, done: int}
 * @phpstan-type Power array<string, mixed>
 */
final readonly class JobSummary
{
    /**
     * @param  list<array{colour: string, landed: bool}>  $strands
     * @param  list<Segment>  $tape
     * @param  list<string>  $restore
     * @param  int  $minutes  still to work
     * @param  int  $waits  minutes of them that are the equipment's
     * @param  ?string  $two  the first task that takes two people
     * @param  list<array{count: int, item: string, why: string, shared: bool}>  $toLoad  before leaving
     * @param  Power  $power  the flag, as it was worked out
     */
    public function __construct(
        public string $title,
        public string $equipment,
        public string $cable,
        public array $strands,
        public array $tape,
        public array $restore,
        public int $minutes,
        public int $waits,
        public ?string $two,
        public array $toLoad,
        public array $power,
    ) {
    }

    public static function compute(Job $job): self
    {
        $house = House::of($job);
        $installation = $house->installation;
        $progress = Progress::of($job);
        $work = JobWork::of($job, $progress);
        $wall = $installation->wallCable();
        $conductors = $wall->conductors ?? [];

        $two = $work->firstForTwo();

        return new self(
            title: Words::say($installation->equipment()),
            equipment: Words::say($installation->equipmentInShort()),
            cable: Words::say(
                $wall === null || $conductors === [] ? Message::of('jobs.summary.not-seen') : $wall->label(),
            ),
            strands: array_map(
                static fn (Conductor $c): array => ['colour' => $c->colour->value, 'landed' => ! $c->isSpare()],
                $conductors,
            ),
            tape: array_map(self::segment(...), $progress->tape()),
            restore: Words::each($progress->restore()),
            minutes: $work->minutes(),
            waits: $work->waits(),
            two: $two === null ? null : Words::say($two->label),
            toLoad: array_map(
                static fn (array $c): array => [
                    'count' => $c['count'],
                    'item' => Words::say($c['item']),
                    'why' => Words::say($c['why']),
                    'shared' => $c['shared'],
                ],
                Carry::of($installation, $house->plan),
            ),
            power: Words::spoken(PowerFlag::of($job)->toArray()),
        );
    }

    /** As it was kept, from JSON. */
    public static function kept(string $json): self
    {
        /**
         * @var array{
         *     title: string, equipment: string, cable: string, strands: list<array{colour: string, landed: bool}>,
         *     tape: list<Segment>, restore: list<string>, minutes: int, waits: int, two: ?string,
         *     toLoad: list<array{count: int, item: string, why: string, shared: bool}>, power: Power,
         * } $fields
         */
        $fields = json_decode($json, true, flags: JSON_THROW_ON_ERROR);

        return new self(...$fields);
    }

    /** A job that cannot be worked out keeps its place on the screen, and says so. */
    public static function unreadable(Job $job): self
    {
        $tape = array_map(
            static fn (Stage $stage): array => [
                'key' => $stage->value,
                'name' => Words::say(Message::term($stage)),
                'state' => 'next',
                'word' => Words::of('jobs.summary.unreadable'),
                'n' => 0,
                'done' => 0,
            ],
            Stage::cases(),
        );

        return new self(
            title: Words::say(Message::of('jobs.summary.unreadable')->opening()),
            equipment: Words::of('jobs.summary.unreadable'),
            cable: Words::of('jobs.summary.not-read'),
            strands: [],
            tape: $tape,
            restore: [],
            minutes: 0,
            waits: 0,
            two: null,
            toLoad: [],
            power: Words::spoken(PowerFlag::as(PowerState::NotProved)->toArray()),
        );
    }

    public function fails(): bool
    {
        return in_array('stuck', array_column($this->tape, 'state'), true);
    }

    /** Whether somebody should look: live, something to put back, or a call that fails. */
    public function isFlagged(): bool
    {
        return $this->power['state'] === 'live' || $this->restore !== [] || $this->fails();
    }

    /**
     * @param  array<string, mixed>  $segment
     * @return Segment
     */
    private static function segment(array $segment): array
    {
        /** @var Segment */
        return array_intersect_key(
            Words::spoken($segment),
            array_flip(['key', 'name', 'state', 'word', 'n', 'done']),
        );
    }

    /**
     * @param  list<string|Message>  $words
     * @return list<string>
     */
    private static function said(array $words): array
    {
        return array_map(static fn (string|Message $w): string => is_string($w) ? $w : Words::say($w), $words);
    }

    /** Everything the job can be found by, made plain; one that cannot be read is found by its names. */
    public static function words(Job $job): string
    {
        $names = [$job->site, $job->address, $job->system_name, $job->kind->value, (string) $job->who];
        try {
            $house = House::of($job);
            $words = SearchWords::of($house->installation, $house->plan);
        } catch (Throwable) {
            $words = [];
        }

        return TradeWords::plain(implode(' . ', array_unique([...$names, ...self::said($words)])));
    }
}
