<?php

declare(strict_types=1);

namespace App\Trace;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Kind\TraceMoment;
use App\Models\Tracing\TraceRow;
use App\Records\Append;
use App\Records\Power\PowerFlag;
use App\Trace\Book\TraceBook;
use Illuminate\Support\Facades\DB;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Tracing\Protocol\Given;
use Unionbit\Core\Tracing\Protocol\HandsText;
use Unionbit\Core\Tracing\Protocol\Reading;
use Unionbit\Core\Tracing\Protocol\Session;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Refusal;
use Unionbit\Core\Words\Message;

/** Writes a row of a trace, once the house can take it; the set-up of a look is what stands at that moment. */
final class RecordTrace
{
    /** @param  array<string, mixed>  $body */
    public static function record(
        Job $job,
        User $user,
        string $id,
        TraceMoment $kind,
        array $body,
        ?string $call,
    ): TraceRow {
        // What the house may be told is worked out before the write lock is taken; what stands on it, within.
        $book =
            TraceBook::of($job) ?? throw Refused::at('kind', Message::of('trace.record.first-what-hangs-there'));

        $given = (new Given($body))->at('event');
        if ($kind === TraceMoment::Event && $given->at('kind')->value === EventKind::Repaired->value) {
            $book->read();
        }

        return DB::transaction(static function () use ($job, $user, $id, $kind, $body, $call, $book): TraceRow {
            $signs = [];
            $row = Append::row(TraceRow::class, $id, $job, $user, static function () use (
                $book,
                $job,
                $user,
                $kind,
                $body,
                $call,
                &$signs,
            ): array {
                $checked = self::checked($book, $job, $kind, $body, $call);
                if ($kind === TraceMoment::Open) {
                    // Which test is reached for first is theirs: it changes costs, not what is concluded.
                    $checked += ['school' => $user->preferences()->school->value];
                }
                $signs = $kind === TraceMoment::Test ? self::signs($book, $job, $checked) : [];

                return [
                    'kind' => $kind,
                    'body' => $signs === [] ? $checked : [...$checked, 'signs' => array_keys($signs)],
                ];
            });
            CountsInProve::record($job, $user, CallName::tryFrom($call ?? 'idle') ?? CallName::Idle, $signs);

            return $row;
        });
    }

    /**
     * @param  array<string, mixed>  $body  of a test, checked
     * @return array<string, array{sign: Sign, seen: bool, how: ?SignAnswer}> what of it the running proof asks
     *     for, by id
     */
    private static function signs(TraceBook $book, Job $job, array $body): array
    {
        $reading = new Reading($book->words);
        $given = new Given($body);

        return CountsInProve::signs(
            $job,
            $reading->setup($given->at('test')),
            PowerFlag::of($job)->isLive() ? $reading->sees($given->at('result')) : [],
        );
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    private static function checked(TraceBook $book, Job $job, TraceMoment $kind, array $body, ?string $call): array
    {
        if (($kind === TraceMoment::Open) === ($job->openFault() !== null)) {
            throw Refused::at(
                'kind',
                $kind === TraceMoment::Open
                    ? Message::of('trace.record.one-is-open')
                    : Message::of('trace.record.none-is-open'),
            );
        }
        $reading = new Reading($book->words);
        try {
            if ($kind === TraceMoment::Open) {
                Session::complaints(new Given($body), $reading);
            } elseif ($kind === TraceMoment::Test) {
                $name = CallName::tryFrom($call ?? 'idle') ?? CallName::Idle;
                $setup = $book->now($name, PowerFlag::of($job)->isIsolated());
                $probe = $reading->probe(new Given($body['probe'] ?? null, '/probe'), $setup);
                $reading->result(new Given($body['result'] ?? null, '/result'), $probe);

                return [
                    'test' => [...HandsText::of($setup, $book->trace->circuit), 'probe' => $probe->toArray()],
                    'result' => $body['result'] ?? [],
                ];
            } elseif ($kind === TraceMoment::Event) {
                $event = $reading->event(new Given($body['event'] ?? null, '/event'));
                if (
                    $event->kind->isOfRow() &&
                    ! self::has($job, (new Given($body['record'] ?? null, '/record'))->text())
                ) {
                    throw new Refusal('/record', $body['record'] ?? null, []);
                }
                if ($event->kind === EventKind::Repaired) {
                    self::exchanged($book);
                }
                if ($event->kind === EventKind::Listed) {
                    // As the house is now: a survey that is corrected later leaves the list as it was made.
                    $list = $book->trace->wiresOf($event->what);

                    return [...$body, 'event' => $event->listing($list)->toArray()];
                }
            } elseif ($kind === TraceMoment::Withdraw) {
                $row = (new Given($body['row'] ?? null, '/row'))->text();
                if (! self::has($job, $row)) {
                    throw new Refusal('/row', $row, []);
                }
            }
        } catch (Refusal $refusal) {
            throw Refused::at(
                'body',
                Message::of(
                    'trace.record.refused',
                    place: $refusal->pointer,
                    value: (string) json_encode($refusal->is),
                    allowed: array_slice($refusal->allowed, 0, 20),
                ),
            );
        }

        return $body;
    }

    /** @throws Refusal where wires of an exchange are not on the new part yet */
    private static function exchanged(TraceBook $book): void
    {
        $left = $book->trace->exchange()?->left() ?? [];
        if ($left !== []) {
            throw new Refusal('/event/kind', EventKind::Repaired->value, $left);
        }
    }

    /** Whether a record of this job is a row of its trace. */
    private static function has(Job $job, string $id): bool
    {
        return $job->traceRows()->whereKey($id)->exists() ||
            $job->readings()->whereKey($id)->exists() ||
            $job->observations()->whereKey($id)->exists();
    }
}
