<?php

declare(strict_types=1);

namespace App\Console;

use App\Words\Words;
use Illuminate\Console\Command;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Played\PlayedHouse;
use Unionbit\Core\Tracing\Protocol\Given;
use Unionbit\Core\Tracing\Protocol\ProposalWords;
use Unionbit\Core\Tracing\Protocol\Reading;
use Unionbit\Core\Tracing\Protocol\Session;
use Unionbit\Core\Tracing\Protocol\Vocabulary;
use Unionbit\Core\Tracing\Refusal;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Trace;

/** A readable session of a trace: what to do, then what was read; or a simulated house that answers by itself. */
final readonly class TraceTalk
{
    private const MOST = 40;

    public function __construct(private Command $command, private Plan $plan, private FaultCatalogue $catalogue)
    {
    }

    /**
     * @param  list<string>  $history
     * @param  list<Fault>  $faults  of a simulated house; none where a person answers
     * @return int exit code
     */
    public function run(string $complaint, array $history, array $faults): int
    {
        $trace = new Trace($this->plan, $this->catalogue, $history);
        $reading = new Reading(Vocabulary::of($trace));
        $house = $faults === [] ? null : new PlayedHouse($trace->house, $trace->sight, $faults);
        try {
            foreach (
                Session::complaints(new Given(['complaint' => $complaint]), $reading) as [$call, $result, $when]
            ) {
                $trace->told($call, $house?->complained($call) ?? $result, $when);
            }
        } catch (Refusal $refusal) {
            $allowed = implode(', ', array_slice($refusal->allowed, 0, 40));
            $this->command->error("{$refusal->pointer}: ".json_encode($refusal->is)." ({$allowed})");

            return 2;
        }
        if ($house !== null) {
            $this->command->line('A simulated house answers.');
        }
        for ($turn = 0; $turn < self::MOST && ! $trace->answer()->finished; $turn++) {
            $next = $trace->answer()->next[0] ?? null;
            if ($next === null || ! $this->turn($trace, $next, $house, $reading)) {
                break;
            }
        }
        $this->stands($trace);

        return 0;
    }

    /** One proposal, done and answered; false where the person has had enough. */
    private function turn(Trace $trace, Proposal $next, ?PlayedHouse $house, Reading $reading): bool
    {
        $this->stands($trace);
        $words = Words::say((new ProposalWords($trace))->of($next));
        $minutes = round($next->handling->minutes, 1);
        $this->command->line(sprintf('  → %s (%s min)', $words, $minutes));
        foreach ($next->handling->before as $event) {
            $house?->does($event);
            $trace->event($event);
        }
        if ($next->event !== null) {
            $trace->event($house?->does($next->event) ?? $next->event);

            return $house !== null || $this->command->confirm('done?', true);
        }
        if ($next->setup === null || $next->probe === null) {
            return false;
        }
        $result = $house?->answer($next->setup, $next->probe) ?? $this->asked($next, $reading);
        if ($result === null) {
            return false;
        }
        $this->command->line('    '.json_encode($result->toArray(), JSON_UNESCAPED_UNICODE));
        $trace->test($next->setup, $next->probe, $result);

        return true;
    }

    private function asked(Proposal $next, Reading $reading): ?Result
    {
        while (true) {
            $said = $this->command->ask(
                'result as JSON, as {"volts": 24.1} or {"sees": {"blower": "no"}}; empty ends',
            );
            if (! is_string($said) || trim($said) === '' || $next->probe === null) {
                return null;
            }
            try {
                return $reading->result(new Given(json_decode($said, true), '/result'), $next->probe);
            } catch (Refusal $refusal) {
                $this->command->warn("{$refusal->pointer}: ".implode(', ', $refusal->allowed));
            }
        }
    }

    private function stands(Trace $trace): void
    {
        $answer = $trace->answer();
        $this->command->line(sprintf('%d rows, %.1f min', $answer->rows, $answer->state->minutes));
        foreach (array_slice($answer->suspects, 0, 4) as $suspect) {
            $this->command->line(sprintf('  %4.1f %%  %s', 100.0 * $suspect->share, Words::say($suspect->title)));
        }
    }
}
