<?php

declare(strict_types=1);

namespace App\Trace\View;

use App\Trace\Book\TraceBook;
use App\Trace\Book\TraceLine;
use Unionbit\Core\Tracing\Protocol\ProposalWords;
use Unionbit\Core\Tracing\Protocol\Reply;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Routine;
use Unionbit\Core\Tracing\Record\Spot;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** A row of a trace, as the page shows it. */
final readonly class RowView
{
    private ProposalWords $words;

    public function __construct(private TraceBook $book, private Reply $reply)
    {
        $this->words = new ProposalWords($book->trace);
    }

    /**
     * @param  list<int>  $odd  numbers of rows that nobody explains
     * @return array<string, mixed>
     */
    public function of(TraceLine $line, array $odd): array
    {
        $row = $line->row;
        $moved = $line->moved();
        $place = $line->place;

        return [
            'number' => $line->number,
            'id' => $line->id,
            'at' => $line->at->toIso8601String(),
            'kind' => $row === null ? 'unusable' : ($line->found ? 'found' : $row->kind->value),
            'place' => $place === null ? '' : $this->book->trace->circuit->installation->placeName($place),
            'test' => $this->test($line),
            'setup' => $row?->setup === null ? [] : $this->words->setup($row->setup),
            'result' => $row?->result === null || $row->probe === null
                    ? Message::none()
                    : ResultWords::of(
                        $row->result,
                        $row->probe->mode,
                        $row->probe->inspect,
                        $this->book->trace->list->repairs,
                    ),
            'moved' => $moved === null
                    ? null
                    : [
                        'title' => $this->reply->title($moved[0]),
                        'from' => round(100.0 * $moved[1]),
                        'to' => round(100.0 * $moved[2]),
                    ],
            'withdrawn' => $line->isWithdrawn,
            'odd' => in_array($line->number, $odd, true),
            'again' => $row?->probe?->from === null || $row->probe->to === null || $row->setup === null
                    ? null
                    : [
                        'mode' => $row->probe->mode?->value,
                        'a' => $this->book->trace->house->contacts->touched($row->probe->from, $row->setup),
                        'b' => $this->book->trace->house->contacts->touched($row->probe->to, $row->setup),
                    ],
        ];
    }

    private function test(TraceLine $line): Message
    {
        $row = $line->row;

        return match (true) {
            $row === null => Message::of('trace.page.unusable'),
            $row->event !== null => $this->event($row->event),
            $row->probe !== null => $this->words->probe($row->probe),
            default => Message::none(),
        };
    }

    private function event(Event $event): Message
    {
        return match ($event->kind) {
            EventKind::Repaired => Message::of(
                'trace.page.event-repaired',
                repair: $this->reply->title($event->what),
            ),
            EventKind::FuseReplaced => Message::of('trace.page.event-fuse-replaced'),
            EventKind::FuseOpened => Message::of('trace.page.event-fuse-opened'),
            EventKind::BreakerIn => Message::of('trace.page.event-breaker-in'),
            EventKind::BreakerOut => Message::of('trace.page.event-breaker-out'),
            EventKind::BreakerReset => Message::of('trace.page.event-breaker-reset'),
            EventKind::Setting => Message::of('trace.page.event-setting'),
            EventKind::Soaked => Message::of('trace.page.event-soaked'),
            EventKind::Moved => Message::of('trace.page.event-moved'),
            EventKind::Touched => Message::of(
                'trace.page.event-touched',
                point: $this->words->point($event->of),
                answered: $event->answered === true ? 'yes' : 'no',
            ),
            EventKind::ProvedDead => Message::of('trace.page.event-proved-dead'),
            EventKind::Waived => Message::of('trace.page.event-waived'),
            EventKind::Routine => Routine::tryFrom($event->key) === null
                ? Message::of('trace.page.event-routine-left')
                : Message::of('trace.page.event-routine', routine: Routine::from($event->key)->label()),
            EventKind::Compared => Message::of(
                'trace.page.event-compared',
                row: (int) $event->row,
                ohms: Quantity::of((float) $event->ohms, Unit::Ohms),
            ),
            EventKind::Struck => Message::of('trace.page.event-struck', row: (int) $event->row),
            EventKind::Walked => Message::of(
                'trace.page.event-walked',
                cable: $event->of,
                spot: Spot::from($event->key)->label(),
                answered: $event->found(),
            ),
            EventKind::Listed => Message::of('trace.page.event-listed', count: count($event->list)),
            EventKind::WireOff => Message::of('trace.page.event-wire-off', end: $this->words->point($event->of)),
            EventKind::WireOn => Message::of('trace.page.event-wire-on', end: $this->words->point($event->of)),
        };
    }
}
