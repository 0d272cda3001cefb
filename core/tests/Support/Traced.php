<?php

declare(strict_types=1);

namespace Unionbit\Core\Tests\Support;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tracing\Answer;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Played\PlayedHouse;
use Unionbit\Core\Tracing\Trace;

/** A trace of a simulated house, by what is proposed. */
final class Traced
{
    public int $tests = 0;

    /** @var list<string> what was repaired, in order, with the tests before it */
    public array $repairs = [];

    /** @var list<string> */
    public array $keys = [];

    private function __construct(public readonly Trace $trace, public readonly PlayedHouse $house)
    {
    }

    /**
     * @param  list<string>  $faults
     * @param  list<string>  $calls  complained of
     * @param  list<string>  $history
     */
    public static function of(
        string|Plan $house,
        array $faults,
        array $calls,
        array $history = [],
        ?string $profile = null,
        float $wrong = 0.0,
        int $seed = 7,
        bool $comesAndGoes = false,
    ): self {
        $plan = is_string($house) ? House::example($house, $profile) : $house;
        $trace = new Trace($plan, House::faults(), $history);
        $found = array_map(
            static fn (string $id): Fault => $trace->catalogue->find($trace->circuit, $id) ??
                throw new \LogicException("this house cannot have {$id}"),
            $faults,
        );
        $played = new PlayedHouse($trace->house, $trace->sight, $found, $seed, $wrong, $comesAndGoes);
        foreach ($calls as $call) {
            $trace->told(CallName::from($call), $played->complained(CallName::from($call)));
        }

        return new self($trace, $played);
    }

    public function does(Proposal $proposal): void
    {
        foreach ($proposal->handling->before as $event) {
            $this->house->does($event);
            $this->trace->event($event);
        }
        if ($proposal->event !== null) {
            $this->repairs[] = $proposal->event->what.' after '.$this->tests;
            $this->trace->event($this->house->does($proposal->event));
        }
        if ($proposal->setup !== null && $proposal->probe !== null) {
            $this->keys[] = $proposal->key();
            $this->trace->test(
                $proposal->setup,
                $proposal->probe,
                $this->house->answer($proposal->setup, $proposal->probe),
            );
        }
    }

    /** Follows the first proposal until something is to be repaired, or to the end. */
    public function follow(int $most = 40, bool $toTheEnd = false): Answer
    {
        for ($turn = 0; $turn < $most; $turn++) {
            $answer = $this->trace->answer();
            $next = $answer->next[0] ?? null;
            $found = $answer->done !== null && $answer->done->confirm === null;
            if ($answer->finished || $next === null || ($found && ! $toTheEnd)) {
                break;
            }
            $this->tests += $answer->done === null && $answer->open === [] && $next->setup !== null ? 1 : 0;
            $this->does($next);
        }

        return $this->trace->answer();
    }

    /** @return list<string> ids of faults in the found group, without severity */
    public function found(): array
    {
        $ids = [];
        foreach ($this->trace->answer()->done->ids ?? [] as $id) {
            foreach (explode('+', $id) as $one) {
                $ids[] = explode('@', $one)[0];
            }
        }

        return array_values(array_unique($ids));
    }

    /** Position of the first suspect that has the fault. */
    public function rank(string $fault): int
    {
        foreach ($this->trace->answer()->suspects as $n => $line) {
            foreach (explode('+', $line->id) as $one) {
                if (explode('@', $one)[0] === explode('@', $fault)[0]) {
                    return $n;
                }
            }
        }

        return PHP_INT_MAX;
    }
}
