<?php

declare(strict_types=1);

namespace App\Trace;

use App\House\Refused;
use App\Models\Job;
use App\Models\Tracing\TraceMoment;
use App\Models\Tracing\TraceRow;
use App\Models\User;
use App\Records\Append;
use App\Records\Power\PowerFlag;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Tracing\Protocol\Given;
use Unionbit\Core\Tracing\Protocol\Reading;
use Unionbit\Core\Tracing\Protocol\Session;
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

        return Append::row(
            TraceRow::class,
            $id,
            $job,
            $user,
            static fn (): array => ['kind' => $kind, 'body' => self::checked($book, $job, $kind, $body, $call)],
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
                    'test' => [...$setup->toArray(), 'probe' => $probe->toArray()],
                    'result' => $body['result'] ?? [],
                ];
            } elseif ($kind === TraceMoment::Event) {
                $reading->event(new Given($body['event'] ?? null, '/event'));
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

    /** Whether a record of this job is a row of its trace. */
    private static function has(Job $job, string $id): bool
    {
        return $job->traceRows()->whereKey($id)->exists() || $job->readings()->whereKey($id)->exists();
    }
}
