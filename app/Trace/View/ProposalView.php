<?php

declare(strict_types=1);

namespace App\Trace\View;

use App\Trace\Book\TraceBook;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Point\At;
use Unionbit\Core\Tracing\Next\Outcome;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Protocol\HandsText;
use Unionbit\Core\Tracing\Protocol\ProposalWords;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Words\Message;

/** A proposal, as the page shows it: what to set up, what to read or see, what each outcome would leave. */
final readonly class ProposalView
{
    private ProposalWords $words;

    public function __construct(private TraceBook $book)
    {
        $this->words = new ProposalWords($book->trace);
    }

    public function words(Proposal $proposal): Message
    {
        return $this->words->of($proposal);
    }

    /** @return array<string, mixed> */
    public function of(Proposal $proposal): array
    {
        $probe = $proposal->probe;
        $setup = $proposal->setup;

        return [
            'key' => $proposal->key(),
            'words' => $setup !== null && $probe !== null ? $this->words->probe($probe) : $this->words->of($proposal),
            'setup' => $setup === null ? [] : $this->words->setup($setup),
            'place' => $this->book->trace->circuit->installation->placeName($proposal->handling->at),
            'minutes' => round($proposal->handling->minutes, 1),
            'power' => match (true) {
                $setup === null => null,
                $setup->isolated => Message::of('trace.page.isolated'),
                default => Message::of('trace.page.live'),
            },
            'isolated' => $setup !== null && $setup->isolated,
            'call' => $setup?->call->value ?? 'idle',
            'test' => $setup === null ? null : HandsText::of($setup, $this->book->trace->circuit),
            'things' => $setup === null ? [] : array_keys($this->book->toStand($setup)->all),
            'event' => $proposal->event?->toArray(),
            // The test breaker stands on the strip; only a fuse is said by a row of its own.
            'before' => array_values(
                array_map(
                    static fn (Event $e): array => $e->toArray(),
                    array_filter(
                        $proposal->handling->before,
                        static fn (Event $e): bool => $e->kind === EventKind::FuseReplaced,
                    ),
                ),
            ),
            'read' => $probe?->from === null || $setup === null ? null : $this->read($probe, $setup),
            'see' => array_map(
                fn (string $k): array => SignView::of($this->book->trace->sight, $k),
                $probe->see ?? [],
            ),
            'look' => $probe === null || $probe->inspect === '' ? null : $this->look($probe),
            'outcomes' => array_map(
                fn (Outcome $o): array => [
                    'result' => ResultWords::of(
                        $o->result,
                        $probe?->mode,
                        $probe->inspect ?? '',
                        $this->book->trace->list->repairs,
                    ),
                    'share' => round(100.0 * $o->share),
                    'leaves' => count($o->leaves),
                    'first' => $this->title($o->leaves[0] ?? ''),
                ],
                array_slice($proposal->outcomes, 0, 4),
            ),
        ];
    }

    /** @return array{mode: string, a: string, b: string} */
    private function read(Probe $probe, Hands $setup): array
    {
        $contacts = $this->book->trace->house->contacts;
        [$a, $b] = array_map(
            static fn (At $at): string => $probe->mode === MeterMode::Amps
                ? $contacts->node($contacts->clamped($at)) ?? $at->id
                : $contacts->touched($at, $setup),
            $probe->points(),
        );

        return ['mode' => ($probe->mode ?? MeterMode::Volts)->value, 'a' => $a, 'b' => $b];
    }

    /** @return array{target: string, finds: list<array{value: string, label: Message}>} */
    private function look(Probe $probe): array
    {
        $repair = $this->book->trace->list->repairs[$probe->inspect] ?? null;

        return [
            'target' => $probe->inspect,
            'finds' => array_map(
                static fn (string $f): array => ['value' => $f, 'label' => ResultWords::found($f, $repair)],
                $this->book->words->inspect[$probe->inspect] ?? [],
            ),
        ];
    }

    private function title(string $id): Message
    {
        foreach ($this->book->trace->answer()->suspects as $line) {
            if ($line->id === $id) {
                return $line->title;
            }
        }

        return Message::none();
    }
}
