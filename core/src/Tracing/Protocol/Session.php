<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Protocol;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Refusal;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Trace;

/** One session of the trace protocol: a request in, an answer out. What cannot be used changes nothing. */
final class Session
{
    private const DO = ['words', 'start', 'test', 'event', 'withdraw', 'state'];

    private ?Trace $trace = null;

    private ?Vocabulary $words = null;

    public function __construct(private readonly Plan $plan, private readonly FaultCatalogue $catalogue)
    {
    }

    /** @return array<string, mixed> */
    public function answer(mixed $request): array
    {
        try {
            return $this->does(new Given($request));
        } catch (Refusal $refusal) {
            return [
                'error' => [
                    'pointer' => $refusal->pointer,
                    'is' => $refusal->is,
                    'allowed' => $refusal->allowed,
                ],
            ];
        }
    }

    /** @return array<string, mixed> */
    private function does(Given $request): array
    {
        if (! is_array($request->value)) {
            throw new Refusal('', $request->value, ['an object']);
        }
        $do = $request->at('do')->oneOf(self::DO);
        if ($do === 'words') {
            return $this->words()->toArray();
        }
        if ($do === 'start') {
            return $this->start($request);
        }
        $trace = $this->trace ?? throw new Refusal('/do', $do, ['start', 'words']);
        $reading = new Reading($this->words());
        match ($do) {
            'test' => $this->test($trace, $request, $reading),
            'event' => $trace->event($reading->event($request->at('event'))),
            'withdraw' => $trace->withdraw((int) $request->at('row')->number()),
            default => null,
        };

        return (new Reply($trace))->of($trace->answer());
    }

    private function test(Trace $trace, Given $request, Reading $reading): void
    {
        $setup = $reading->setup($request->at('test'));
        $probe = $reading->probe($request->at('test')->at('probe'), $setup);
        $trace->test($setup, $probe, $reading->result($request->at('result'), $probe));
    }

    private function words(): Vocabulary
    {
        return $this->words ??= Vocabulary::of($this->trace ?? new Trace($this->plan, $this->catalogue));
    }

    /** @return array<string, mixed> */
    private function start(Given $request): array
    {
        $request->onlyHas(['do', 'complaint', 'history', 'found', 'school', 'at']);
        $words = $this->words();
        $reading = new Reading($words);
        [$history, $notes] = $this->catalogue->history->parted(
            array_map(static fn (Given $word): string => $word->text(), $request->each('history')),
        );
        $trace = new Trace(
            $this->plan,
            $this->catalogue,
            $history,
            $notes,
            $request->has('school')
                ? School::from($request->at('school')->oneOf(Vocabulary::SCHOOLS))
                : School::Meter,
            $request->has('at')
                ? Place::from(
                    $request->at('at')->oneOf(array_map(static fn (Place $p): string => $p->value, $words->stand)),
                )
                : Place::Wall,
        );
        foreach (self::complaints($request, $reading) as [$call, $result, $when]) {
            $trace->told($call, $result, $when);
        }
        foreach ($request->each('found') as $row) {
            $row->onlyHas(['test', 'result']);
            $setup = $reading->setup($row->at('test'));
            $probe = $reading->probe($row->at('test')->at('probe'), $setup);
            $trace->found($setup, $probe, $reading->result($row->at('result'), $probe));
        }
        $this->trace = $trace;

        return (new Reply($trace))->of($trace->answer());
    }

    /**
     * What is told of the time before the visit, as a list or as one line.
     *
     * @return list<array{CallName, Result, ToldWhen}>
     */
    public static function complaints(Given $request, Reading $reading): array
    {
        $complaint = $request->at('complaint');
        $items = is_string($complaint->value)
            ? array_map(
                static fn (array $item): Given => new Given($item, '/complaint'),
                self::parsed($complaint->value),
            )
            : $request->each('complaint');

        return array_map(static function (Given $item) use ($reading): array {
            $item->onlyHas(['call', 'sees', 'when', 'fuses']);

            return [
                $reading->call($item->at('call')),
                new Result(sees: $reading->sees($item), fuses: $reading->fuses($item)),
                $item->has('when')
                    ? ToldWhen::from($item->at('when')->oneOf(array_column(ToldWhen::cases(), 'value')))
                    : ToldWhen::Now,
            ];
        }, $items);
    }

    /** @return list<array{call: string, sees: array<string, string>}> of "cool-1: outdoor-unit no; heat-1: …" */
    private static function parsed(string $text): array
    {
        $items = [];
        foreach (self::split(';', $text) as $part) {
            [$call, $rest] = [...explode(':', $part, 2), ''];
            $sees = [];
            foreach (self::split(',', $rest) as $said) {
                [$key, $answer] = [...preg_split('/\s+/', $said) ?: [], '', ''];
                $sees[(string) $key] = (string) $answer;
            }
            $items[] = ['call' => trim($call), 'sees' => $sees];
        }

        return $items;
    }

    /**
     * @param  non-empty-string  $at
     * @return list<string>
     */
    private static function split(string $at, string $text): array
    {
        return array_values(
            array_filter(array_map(trim(...), explode($at, $text)), static fn (string $part): bool => $part !== ''),
        );
    }
}
