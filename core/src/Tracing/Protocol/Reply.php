<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Protocol;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Caution;
use Unionbit\Core\Tracing\Answer;
use Unionbit\Core\Tracing\Done;
use Unionbit\Core\Tracing\Group;
use Unionbit\Core\Tracing\Next\Outcome;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Shares;
use Unionbit\Core\Tracing\Suspect\LandingFault;
use Unionbit\Core\Tracing\Suspect\Suspect;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Trace;
use Unionbit\Core\Words\Message;

/** An answer of a trace as the protocol has it; sentences are messages still. */
final readonly class Reply
{
    private ProposalWords $words;

    public function __construct(private Trace $trace)
    {
        $this->words = new ProposalWords($trace);
    }

    /** @return array<string, mixed> */
    public function of(Answer $answer): array
    {
        return [
            'rows' => $answer->rows,
            'state' => $this->state($answer->state),
            'suspects' => array_map(
                static fn (Shares $s): array => [
                    'id' => $s->id,
                    'title' => $s->title,
                    'share' => self::share($s->share),
                    'group' => $s->group,
                    'because' => $s->because,
                    'factors' => array_map(static fn (float $f): float => round($f, 4), $s->factors),
                ],
                $answer->suspects,
            ),
            'groups' => array_map(
                fn (Group $g): array => [
                    'id' => $g->id,
                    'ids' => $g->ids,
                    'share' => self::share($g->share),
                    'repair' => $g->id,
                    'title' => $this->title($g->id),
                ],
                $answer->groups,
            ),
            'next' => array_map($this->proposal(...), $answer->next),
            'unexplained' => $answer->unexplained,
            'notes' => $answer->notes,
            'landing' => array_map(
                static fn (LandingFault $f): array => [
                    'code' => $f->code,
                    'points' => $f->points,
                    'words' => $f->says,
                    'opens_fuse' => $f->opensFuse,
                ],
                $answer->landing,
            ),
            'done' => $answer->done === null ? null : $this->done($answer->done),
            'open' => array_map(static fn (CallName $c): string => $c->value, $answer->open),
            'finished' => $answer->finished,
            'odd' => array_map(
                static fn (int $row, bool $struck): array => ['row' => $row, 'struck' => $struck],
                array_keys($answer->odd),
                $answer->odd,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function state(State $state): array
    {
        $fuses = [];
        foreach ($state->fuses as $id => $now) {
            $in = in_array($id, $state->setup->breakers(), true);
            $fuses[$id] = ['now' => $in ? State::BREAKER : $now, 'spent' => $state->spent[$id] ?? 0];
        }

        return [
            'at' => $state->at->value,
            ...HandsText::whole($state->setup, $this->trace->circuit),
            'fuses' => $fuses,
            'repaired' => $state->repaired,
            'routine' => $state->routine?->value,
            'minutes' => round($state->minutes, 1),
        ];
    }

    private static function share(float $share): float
    {
        return $share < 1.0e-9 ? 0.0 : round($share, 9);
    }

    public function title(string $group): Message
    {
        return match (true) {
            isset($this->trace->list->repairs[$group]) => $this->trace->list->repairs[$group]->title,
            $group === Suspect::SOUND => Suspect::sound(0.0)->title,
            $group === Suspect::UNKNOWN => Message::of('tracing.repair.unknown'),
            default => Message::of('tracing.repair.landing'),
        };
    }

    /** @return array<string, mixed> */
    private function done(Done $done): array
    {
        return [
            'group' => $done->ids,
            'share' => self::share($done->share),
            'repair' => [
                'id' => $done->group,
                'words' => $this->title($done->group),
                'parts' => $done->repair->parts ?? [],
                'minutes' => $done->repair?->minutes() ?? 0,
                'safety' => array_map(static fn (Caution $c): Message => $c->label(), $done->repair->safety ?? []),
                'fuse' => $done->fuses === [] ? null : $done->fuses,
                'ends' => $done->repair?->faults() ?? $done->ids,
            ],
            'confirm' => $done->confirm === null ? null : $this->proposal($done->confirm),
            'reopen' => array_map(static fn (CallName $c): string => $c->value, $done->reopen),
            ...$done->stuck ? ['stuck' => true] : [],
        ];
    }

    /** @return array<string, mixed> */
    public function proposal(Proposal $proposal): array
    {
        $unit = match ($proposal->probe?->mode) {
            MeterMode::Ohms => 'ohms',
            MeterMode::Amps => 'amps',
            default => 'volts',
        };
        $what =
            $proposal->setup !== null && $proposal->probe !== null
                ? [
                    'do' => 'test',
                    'test' => [
                        ...HandsText::of($proposal->setup, $this->trace->circuit),
                        'probe' => $proposal->probe->toArray(),
                    ],
                ]
                : ['do' => 'event', 'event' => $proposal->event?->toArray()];

        return [
            ...$what,
            'before' => array_map(static fn (Event $e): array => $e->toArray(), $proposal->handling->before),
            'steps' => $proposal->handling->steps,
            'words' => $this->words->of($proposal),
            'minutes' => round($proposal->handling->minutes, 1),
            'bits' => round($proposal->bits, 3),
            'outcomes' => array_map(
                static fn (Outcome $o): array => [
                    'result' => self::result($o->result, $unit),
                    'share' => $o->share,
                    'leaves' => $o->leaves,
                ],
                $proposal->outcomes,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function result(Result $result, string $unit): array
    {
        return $result->toArray($unit);
    }
}
