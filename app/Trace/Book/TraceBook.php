<?php

declare(strict_types=1);

namespace App\Trace\Book;

use App\House\House;
use App\House\JobFiles;
use App\Models\Job;
use App\Models\Kind\PowerState;
use App\Models\Kind\Stage;
use App\Models\Kind\TraceMoment;
use App\Models\Record\Reading;
use App\Models\Tracing\TraceRow;
use App\Records\SetUp\SetupStrip;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Things;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Protocol\Given;
use Unionbit\Core\Tracing\Protocol\Reading as Protocol;
use Unionbit\Core\Tracing\Protocol\Session;
use Unionbit\Core\Tracing\Protocol\Vocabulary;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Refusal;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Trace;

/**
 * A job's records as one trace: what Prove has read and seen goes along as found, readings taken since the fault was
 * opened are its tests, with what was looked at, repaired and withdrawn, in the order of the records.
 */
final class TraceBook
{
    /** @var list<TraceLine> */
    public array $lines = [];

    public readonly Trace $trace;

    public readonly Vocabulary $words;

    /** @var list<array{CallName, Result, ToldWhen}> the complaint: call, what it did, when */
    public readonly array $told;

    private bool $isRead = false;

    /** @var array<string, int> number of a row by the record that it comes from */
    private array $numbers = [];

    private function __construct(
        private readonly Job $job,
        public readonly Plan $plan,
        JobFiles $files,
        public readonly ?TraceRow $open,
    ) {
        $body = new Given($open->body ?? []);
        $faults = $files->faults();
        [$history, $notes] = $faults->history->parted(
            array_map(static fn (Given $word): string => $word->text(), $body->each('history')),
        );
        $this->trace = new Trace(
            $plan,
            $faults,
            $history,
            $notes,
            School::tryFrom($body->has('school') ? $body->at('school')->text() : '') ?? School::Meter,
            Place::tryFrom($body->has('at') ? $body->at('at')->text() : '') ?? Place::Wall,
            new KeptRows($plan),
        );
        $this->words = Vocabulary::of($this->trace);
        $this->told = $open === null ? [] : Session::complaints($body, new Protocol($this->words));
        foreach ($this->told as [$call, $result, $when]) {
            $this->trace->told($call, $result, $when);
        }
    }

    /**
     * The house with the words that it may be told, before its rows. Null where nothing is known of what hangs on the
     * wall: As found asks for that first.
     */
    public static function of(Job $job): ?self
    {
        $plan = House::of($job)->standing;

        return $plan === null ? null : new self($job, $plan, app(JobFiles::class), $job->openFault());
    }

    /** Takes its rows in, once; without them it costs a twentieth. */
    public function read(): self
    {
        if (! $this->isRead) {
            $this->isRead = true;
            $this->replay();
        }

        return $this;
    }

    /** How many rows of the proofs would go along with a fault that is opened now. */
    public function carried(): int
    {
        return count($this->proofs());
    }

    private function replay(): void
    {
        $before = $this->open === null ? PHP_INT_MAX : $this->open->seq;
        foreach ($this->entries() as $entry) {
            if ($entry->own !== null) {
                $this->own($entry->own);
            } else {
                $this->line($entry, $entry->seq < $before);
            }
        }
    }

    /** A row of the trace itself; one that this house can no longer take says so and is left. */
    private function own(TraceRow $row): void
    {
        $reading = new Protocol($this->words);
        $given = new Given($row->body);
        try {
            if ($row->kind === TraceMoment::Withdraw) {
                $this->withdraw($given->at('row')->text());
            } elseif ($row->kind === TraceMoment::Test) {
                $setup = $reading->setup($given->at('test'));
                $probe = $reading->probe($given->at('test')->at('probe'), $setup);
                $result = $reading->result($given->at('result'), $probe);
                $this->line(Entry::test($row, $setup, $probe, $result), false);
            } elseif ($row->kind === TraceMoment::Event) {
                $event = $reading->event($given->at('event'));
                $this->line(
                    Entry::own($row),
                    false,
                    $event->kind->isOfRow() ? $this->ofRecord($event, $given) : $event,
                );
            }
        } catch (Refusal) {
            $this->lines[] = TraceLine::unusable(count($this->lines) + 1, $row->id, $row->at);
        }
    }

    /** @throws Refusal where the record that it is of is no row any more: it is of no other */
    private function ofRecord(Event $event, Given $body): Event
    {
        $id = $body->at('record')->text();

        return $event->ofRow($this->numbers[$id] ?? throw new Refusal('/record', $id, []));
    }

    private function withdraw(string $id): void
    {
        $number = $this->numbers[$id] ?? null;
        if ($number === null) {
            return;
        }
        $this->trace->withdraw($number);
        $this->lines = array_map(
            static fn (TraceLine $l): TraceLine => $l->id === $id ? $l->withdrawn() : $l,
            $this->lines,
        );
    }

    private function line(Entry $entry, bool $found, ?Event $event = null): void
    {
        $before = $this->trace->groups();
        [$setup, $probe, $result] = [$entry->setup, $entry->probe, $entry->result];
        if ($event !== null) {
            $this->trace->event($event);
        } elseif ($setup !== null && $probe !== null && $result !== null) {
            $found ? $this->trace->found($setup, $probe, $result) : $this->trace->test($setup, $probe, $result);
        }
        $row = $this->trace->rows()[count($this->trace->rows()) - 1];
        $this->numbers[$entry->id] = $row->number;
        $this->lines[] = new TraceLine(
            $row->number,
            $entry->id,
            $entry->at,
            $row,
            $found,
            $before,
            $this->trace->groups(),
            $this->trace->state()->at,
        );
    }

    /** @return list<Entry> in their order */
    private function entries(): array
    {
        $entries = $this->proofs();
        if ($this->open !== null) {
            $twice = [];
            $own = $this->job->counting($this->job->traceRows())->where('seq', '>', $this->open->seq)->get();
            foreach ($own as $row) {
                $entries[] = Entry::own($row);
                // Signs of a proof that were answered by this very row say nothing twice.
                array_push($twice, ...array_filter((array) ($row->body['signs'] ?? []), is_string(...)));
            }
            $entries = array_filter($entries, static fn (Entry $e): bool => ! in_array($e->id, $twice, true));
        }
        usort($entries, static fn (Entry $a, Entry $b): int => $a->seq <=> $b->seq);

        return $entries;
    }

    /** @return list<Entry> what was read and seen in Prove, in its steps and beside them */
    private function proofs(): array
    {
        $strips = SetupStrip::read($this->job);
        $entries = (new Carried($this->job, $this->trace, $strips))->entries();
        $readings = $this->job
            ->proving($this->job->readings(), House::of($this->job)->isAsFound())
            ->whereNull('step')
            ->where('stage', Stage::Prove);
        foreach ($readings->get() as $reading) {
            array_push($entries, ...$this->reading($reading, $strips));
        }
        $since = $this->repairedBefore();

        return array_values(array_filter($entries, static fn (Entry $e): bool => $e->seq > $since));
    }

    /** Place in the order of the last repair of an earlier trace: what was read before it was another house. */
    private function repairedBefore(): int
    {
        $repairs = $this->job
            ->counting($this->job->traceRows())
            ->where('kind', TraceMoment::Event)
            ->where('body->event->kind', EventKind::Repaired->value);
        if ($this->open !== null) {
            $repairs->where('seq', '<', $this->open->seq);
        }
        $last = $repairs->reorder()->max('seq');

        return is_numeric($last) ? (int) $last : 0;
    }

    /** @return list<Entry> nothing of a tester that does not touch */
    private function reading(Reading $reading, SetupStrip $strips): array
    {
        $call = CallName::tryFrom($reading->call ?? '') ?? CallName::Idle;
        $isolated = $reading->power === PowerState::Isolated;
        $asked = Hands::calling($call);
        $hands = ($isolated ? $asked->powerOff() : $asked)->beside(
            $this->trace->house->contacts->spread($strips->before($reading->seq)),
        );

        return $reading->mode === MeterMode::NonContact
            ? []
            : [
                Entry::test(
                    $reading,
                    $hands,
                    Probe::meter(
                        $reading->mode,
                        $this->trace->house->contacts->said(At::read($reading->a)),
                        $this->trace->house->contacts->said(At::read($reading->b)),
                    ),
                    self::result($reading),
                ),
            ];
    }

    public static function result(Reading $reading): Result
    {
        return match (true) {
            $reading->value === null => Result::overLimit(),
            $reading->mode === MeterMode::Beep => new Result(beeps: $reading->value < 30.0),
            default => Result::number($reading->value),
        };
    }

    /** How the house stands now: what is on the strip, the call last asked for, the power. */
    public function now(CallName $call, bool $isolated): Hands
    {
        $standing = $this->trace->house->contacts->spread(SetupStrip::of($this->job));

        return Hands::calling($call)->provedDead($isolated)->beside($standing);
    }

    /** What has to stand for a test: the thermostat off its wires is a face off and every end there lifted. */
    public function toStand(Hands $hands): Things
    {
        $contacts = $this->trace->house->contacts;

        return $contacts->standing($contacts->plain($hands));
    }
}
