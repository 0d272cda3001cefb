<?php

declare(strict_types=1);

namespace App\Trace;

use App\Models\Job;
use App\Models\Kind\Stage;
use App\Models\Tracing\TraceRow;
use App\Records\Power\PowerFlag;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingView;
use App\Records\Reading\RunningProof;
use App\Stage\JobFrame;
use App\Trace\Book\TraceBook;
use App\Trace\Book\TraceLine;
use App\Trace\Sheets\BreakerClock;
use App\Trace\Sheets\ExchangeSheet;
use App\Trace\Sheets\OddSheet;
use App\Trace\Sheets\RouteSheet;
use App\Trace\Sheets\RoutineSheet;
use App\Trace\View\ProposalView;
use App\Trace\View\ResultWords;
use App\Trace\View\RowView;
use App\Trace\View\SignView;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Caution;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Answer;
use Unionbit\Core\Tracing\Done;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Protocol\ProposalWords;
use Unionbit\Core\Tracing\Protocol\Reply;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Shares;
use Unionbit\Core\Tracing\Suspect\Suspect;
use Unionbit\Core\Tracing\Test\Moment;
use Unionbit\Core\Words\Message;

/** What the stage of a fault shows: complaint, suspects, what to do next, the rows so far, the answer. */
final class TracePage
{
    private const AN_HOUR = 3600;

    /** Suspects that are shown before they are asked for, and the share under which one counts as fallen. */
    private const SHOWN = 7;

    private const FALLEN = 0.005;

    /** @return array<string, mixed> */
    public static function props(Job $job, TraceBook $book): array
    {
        return [
            ...JobFrame::props($job, $book->plan->circuit(), Progress::of($job)),
            'entry' => self::entry($book),
            'carried' => $book->open === null ? $book->carried() : 0,
            ...self::fault($job, $book),
            'readings' => ReadingView::log($job, Stage::Prove),
        ];
    }

    /**
     * @return array{opened: ?array<string, mixed>, trace: ?array<string, mixed>} what was told, and how far it is
     *     traced; null while no fault is open
     */
    public static function fault(Job $job, TraceBook $book): array
    {
        return $book->open === null
            ? ['opened' => null, 'trace' => null]
            : ['opened' => self::opened($book, $book->open), 'trace' => self::trace($job, $book)];
    }

    /** @return array<string, mixed> what a complaint can say of this house */
    private static function entry(TraceBook $book): array
    {
        $keys = [...$book->trace->sight->running(), 'display'];

        return [
            'calls' => array_map(static fn (CallName $c): array => ['value' => $c->value, 'label' => $c->label()], [
                ...$book->trace->calls(),
                CallName::Idle,
            ]),
            'signs' => array_map(static fn (string $k): array => SignView::of($book->trace->sight, $k), $keys),
            'history' => array_map(
                static fn (string $word, Message $title): array => ['value' => $word, 'label' => $title],
                array_keys($book->words->history),
                $book->words->history,
            ),
            'whens' => self::choices(ToldWhen::cases()),
        ];
    }

    /**
     * @param  list<ToldWhen>|list<Moment>  $cases
     * @return list<array{value: string, label: Message}>
     */
    private static function choices(array $cases): array
    {
        return array_map(
            static fn (ToldWhen|Moment $c): array => ['value' => $c->value, 'label' => $c->label()],
            $cases,
        );
    }

    /** @return ?array{step: string, label: Message, running: bool} of the call that is run again, in Prove */
    private static function proof(Job $job, Answer $answer): ?array
    {
        $call = $answer->next[0]->setup->call ?? null;
        $record =
            $call === null || ($answer->open === [] && ! $answer->finished) ? null : RunningProof::of($job, $call);

        return $record === null
            ? null
            : ['step' => $record->step->key(), 'label' => $call->label(), 'running' => $record->isRunning()];
    }

    /** @return list<array<string, mixed>> every part that a look can tell, by place: any may be looked at any time */
    private static function looks(TraceBook $book): array
    {
        $words = new ProposalWords($book->trace);
        $looks = [];
        foreach ($book->words->inspect as $target => $finds) {
            $repair = $book->trace->list->repairs[$target];
            $looks[] = [
                'target' => $target,
                'label' => $repair->title,
                'of' => $words->at($repair),
                'finds' => array_map(
                    static fn (string $f): array => ['value' => $f, 'label' => ResultWords::found($f, $repair)],
                    $finds,
                ),
            ];
        }

        return $looks;
    }

    /** @return list<array{number: int, spot: Message, answered: bool}> the log of spots that were wiggled */
    private static function wiggled(TraceBook $book): array
    {
        $words = new ProposalWords($book->trace);
        $spots = [];
        foreach ($book->trace->rows() as $row) {
            $event = $row->withdrawn ? null : $row->event;
            if ($event?->kind === EventKind::Touched) {
                $spots[] = [
                    'number' => $row->number,
                    'spot' => $words->point($event->of),
                    'answered' => $event->answered === true,
                ];
            }
        }

        return $spots;
    }

    /** @return array<string, mixed> */
    private static function opened(TraceBook $book, TraceRow $open): array
    {
        $words = $book->words->history;
        $history = is_array($open->body['history'] ?? null) ? $open->body['history'] : [];

        return [
            'id' => $open->id,
            'at' => $open->at->toIso8601String(),
            'told' => array_map(
                static fn (array $one): array => [
                    'call' => $one[0]->label(),
                    'sees' => self::heard($one[1]->sees),
                    'when' => $one[2] === ToldWhen::Now ? Message::none() : $one[2]->label(),
                ],
                $book->told,
            ),
            'history' => array_map(
                static fn (string $w): Message => $words[$w] ?? Message::raw($w),
                array_values(array_filter($history, is_string(...))),
            ),
        ];
    }

    /**
     * @param  array<string, string>  $sees  answers by key
     * @return list<Message> what runs, what does not, and what is neither; nothing by name where nothing runs
     */
    private static function heard(array $sees): array
    {
        $by = [];
        foreach ($sees as $key => $answer) {
            $seen = Senses::name($key);
            $said = SignAnswer::tryFrom($answer);
            if ($seen !== null && $said !== null) {
                $by[$said->value][] = $seen;
            }
        }
        if (count($by) === 1 && count($by[SignAnswer::No->value] ?? []) > 2) {
            return [Message::of('trace.page.nothing-runs')];
        }
        $says = [];
        foreach ($by as $answer => $keys) {
            $says[] = match ($answer) {
                SignAnswer::Yes->value => Message::of('trace.page.runs', keys: $keys),
                SignAnswer::No->value => Message::of('trace.page.does-not', keys: $keys),
                default => Message::of(
                    'trace.page.answers',
                    keys: $keys,
                    answer: SignAnswer::from($answer)->label(),
                ),
            };
        }

        return $says;
    }

    /** @return array<string, mixed> worked out once for the records as they stand */
    private static function trace(Job $job, TraceBook $book): array
    {
        $isolated = PowerFlag::of($job)->isIsolated();
        $key = "trace:{$job->id}:{$job->version}:{$job->recorded}:".($isolated ? 'off' : 'on');
        $kept = Cache::get($key);
        if (is_array($kept)) {
            $known = [];
            foreach ($kept as $name => $part) {
                $known[(string) $name] = $part;
            }

            return $known;
        }
        $view = self::worked($job, $book);
        Cache::put($key, $view, self::AN_HOUR);

        return $view;
    }

    /** @return array<string, mixed> */
    private static function worked(Job $job, TraceBook $book): array
    {
        $answer = $book->read()->trace->answer();
        $reply = new Reply($book->trace);
        $proposals = new ProposalView($book);
        $rows = new RowView($book, $reply);
        $book->trace->keep();

        return [
            'minutes' => round($answer->state->minutes, 1),
            'call' => $answer->state->setup->call->value,
            'at' => $answer->state->at->value,
            'suspects' => self::suspects($answer, $book),
            'next' => array_map(static fn (Proposal $p): array => $proposals->of($p), $answer->next),
            'rows' => array_map(
                static fn (TraceLine $l): array => $rows->of($l, $answer->unexplained),
                array_reverse($book->lines),
            ),
            'fuses' => self::fuses($answer),
            'places' => self::places($book),
            'trips' => self::trips($book),
            'done' => $answer->done === null ? null : self::done($answer->done, $answer, $reply),
            'open' => array_map(
                static fn (CallName $c): array => ['value' => $c->value, 'label' => $c->label()],
                $answer->open,
            ),
            'finished' => $answer->finished && $answer->next === [],
            'second' => $answer->finished && $answer->next !== [],
            'landing' => array_map(static fn ($f): Message => $f->says, $answer->landing),
            'routines' => RoutineSheet::of($book, $proposals),
            'routes' => RouteSheet::of($book, $answer),
            'exchange' => ExchangeSheet::of($book, $answer->done),
            'odd' => OddSheet::of($book, $answer, $rows),
            'breaker' => BreakerClock::of($job, $book, $answer->next[0] ?? null),
            'proof' => self::proof($job, $answer),
            'wiggled' => self::wiggled($book),
            'signs' => array_map(
                static fn (string $k): array => SignView::of($book->trace->sight, $k),
                array_map(strval(...), array_keys($book->trace->sight->answers)),
            ),
            'looks' => self::looks($book),
            'moments' => self::choices(Moment::cases()),
        ];
    }

    /** @return list<array<string, mixed>> by the repair that ends them, most first, the fallen last */
    private static function suspects(Answer $answer, TraceBook $book): array
    {
        $tops = [];
        foreach ($answer->suspects as $line) {
            $tops[$line->group] ??= $line;
        }
        $first = $book->lines[0]->before ?? [];
        $lines = [];
        foreach ($answer->groups as $n => $group) {
            $start = $first[$group->id] ?? $group->share;
            $fallen = $group->share < self::FALLEN;
            if ($fallen && $start < 4 * self::FALLEN) {
                continue;
            }
            $lines[] = [
                'id' => $group->id,
                ...self::named($tops[$group->id] ?? null),
                'share' => round($group->share, 4),
                'start' => round($start, 4),
                'fallen' => $fallen,
                'felledBy' => $fallen ? self::felledBy($book, $group->id) : null,
                'shown' => $n < self::SHOWN,
                'unknown' => $group->id === Suspect::UNKNOWN,
            ];
        }

        return array_slice($lines, 0, 24);
    }

    /** @return array{title: Message, detail: Message} what it is, and where */
    private static function named(?Shares $line): array
    {
        $fault = $line->standing->left[0] ?? null;

        return [
            'title' => $fault->name ?? ($line->title ?? Message::none()),
            'detail' => $fault === null || $fault->says === [] ? Message::none() : Message::series($fault->says),
        ];
    }

    /** Number of the row that took most of a suspect's share. */
    private static function felledBy(TraceBook $book, string $group): ?int
    {
        $by = null;
        $least = 1.0;
        foreach ($book->lines as $line) {
            $before = $line->before[$group] ?? 0.0;
            $part = $before <= 0.0 ? 1.0 : ($line->after[$group] ?? 0.0) / $before;
            if ($part < $least && ! $line->isWithdrawn) {
                $least = $part;
                $by = $line->number;
            }
        }

        return $by;
    }

    /** @return list<array{id: string, now: string, spent: int}> what is known of each fuse */
    private static function fuses(Answer $answer): array
    {
        $fuses = [];
        foreach ($answer->state->fuses as $id => $now) {
            if ($now !== State::NONE) {
                $fuses[] = ['id' => $id, 'now' => $now, 'spent' => $answer->state->spent[$id] ?? 0];
            }
        }

        return $fuses;
    }

    /** @return list<array{value: string, label: Message}> the house end to end */
    private static function places(TraceBook $book): array
    {
        $house = $book->trace->circuit->installation;

        return array_map(
            static fn (Place $p): array => ['value' => $p->value, 'label' => $house->placeName($p)],
            $book->trace->places(),
        );
    }

    /** @return list<array{number: int, place: string}> where each row was done, in order */
    private static function trips(TraceBook $book): array
    {
        $trips = [];
        foreach ($book->lines as $line) {
            if ($line->row !== null && $line->row->setup !== null && $line->place !== null && ! $line->isWithdrawn) {
                $trips[] = ['number' => $line->number, 'place' => $line->place->value];
            }
        }

        return array_slice($trips, -9);
    }

    /** @return array<string, mixed> */
    private static function done(Done $done, Answer $answer, Reply $reply): array
    {
        $titles = [];
        foreach ($answer->suspects as $line) {
            if (in_array($line->id, $done->ids, true) && $line->share > self::FALLEN) {
                $titles[] = $line->title;
            }
        }

        return [
            'group' => $done->group,
            'titles' => $titles,
            'share' => round($done->share, 4),
            'repair' => $reply->title($done->group),
            'fix' => $done->repair?->fixes() ?? Message::none(),
            'parts' => array_map(
                static fn (string $p): Message => Message::of(
                    'trace.page.part',
                    part: Message::named('repair-part', str_replace('-', ' ', $p)),
                ),
                $done->repair->parts ?? [],
            ),
            'minutes' => $done->repair?->minutes() ?? 0,
            'safety' => array_map(static fn (Caution $c): Message => $c->label(), $done->repair->safety ?? []),
            'fuses' => array_values($done->fuses),
            'reopen' => array_map(static fn (CallName $c): Message => $c->label(), $done->reopen),
            'confirm' => $done->confirm !== null,
            'stuck' => $done->stuck,
            'unknown' => $done->group === Suspect::UNKNOWN,
        ];
    }
}
