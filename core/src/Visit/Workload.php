<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Assumptions;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Route\Route;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/**
 * How long a visit still takes: what survey, plan, settings and proofs need, with the equipment's own delays. The
 * minutes a task are our working figures, written here in one place; the delays come from the equipment.
 */
final readonly class Workload
{
    private const FACT = 1;

    private const CONDUCTOR = 1;

    private const TRACE = 3;

    private const MOVE = 2;

    private const SETTING = 1;

    private const STEP = 3;

    private const HANDOVER = 10;

    private const ARRIVE = 10;

    /** @param  list<Task>  $tasks */
    private function __construct(public array $tasks)
    {
    }

    /**
     * @param  int  $facts  open items of the survey besides conductors and pairings
     * @param  int  $moves  moves not ticked yet
     * @param  int  $settings  settings not entered yet
     * @param  list<string>  $proved  keys of steps that have passed
     * @param  ?list<Step>  $steps  every proof of the plan, where they were worked out already
     */
    public static function of(
        Installation $house,
        ?Plan $plan,
        int $facts,
        int $moves,
        int $settings,
        array $proved,
        bool $begun,
        ?array $steps = null,
    ): self {
        return new self([
            ...$begun ? [] : [new Task(Message::of('visit.workload.arrive-talk-covers-off'), self::ARRIVE)],
            ...self::survey($house, $facts),
            ...self::landing($house, $plan, $moves, $settings),
            ...self::proofs($house, $plan, $proved, $steps),
            new Task(Message::of('visit.workload.handover'), self::HANDOVER),
        ]);
    }

    /** @return list<Task> */
    private static function survey(Installation $house, int $facts): array
    {
        $tasks = [];
        if ($house->wallConductors() === []) {
            $expected = count($house->archetype->printedAt(Place::Indoor));
            $tasks[] = new Task(
                Message::of('visit.workload.look-at-about-conductors-both', expected: $expected),
                2 * $expected * self::CONDUCTOR,
            );
        }
        $trace = count(Assumptions::toTrace($house));
        if ($trace > 0) {
            $tasks[] = new Task(
                $trace === 1
                    ? Message::of('visit.workload.trace-1-conductor')
                    : Message::of('visit.workload.trace-conductors', trace: $trace),
                $trace * self::TRACE,
                0,
                true,
            );
        }
        if ($facts > 0) {
            $tasks[] = new Task(
                Message::of('visit.workload.survey', facts: $facts, clause: $facts === 1 ? 'fact' : 'facts'),
                $facts * self::FACT,
            );
        }

        return $tasks;
    }

    /** @return list<Task> */
    private static function landing(Installation $house, ?Plan $plan, int $moves, int $settings): array
    {
        $moves = $plan === null ? max(count($house->wallConductors()), 2) + 1 : $moves;
        $settings = $plan === null ? 3 : $settings;
        $lands =
            $plan === null
                ? Message::of('visit.workload.choose-land-conductors')
                : Message::of('visit.workload.moves-landing-list', moves: $moves);

        return [
            ...$moves > 0 ? [new Task($lands, $moves * self::MOVE)] : [],
            ...$settings > 0
                ? [new Task(Message::of('visit.workload.settings', settings: $settings), $settings * self::SETTING)]
                : [],
        ];
    }

    public function minutes(): int
    {
        return $this->hands() + $this->waits();
    }

    public function hands(): int
    {
        return array_sum(array_map(static fn (Task $t): int => $t->minutes, $this->tasks));
    }

    public function waits(): int
    {
        return array_sum(array_map(static fn (Task $t): int => $t->wait, $this->tasks));
    }

    /** The first task that takes a person at each end; null where one person does it all. */
    public function firstForTwo(): ?Task
    {
        foreach ($this->tasks as $task) {
            if ($task->two) {
                return $task;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $proved
     * @param  ?list<Step>  $steps
     * @return list<Task>
     */
    private static function proofs(Installation $house, ?Plan $plan, array $proved, ?array $steps): array
    {
        if ($plan !== null) {
            $steps ??= (new Steps($plan))->all();
            $route = Route::of($steps, School::Short, new Waits($plan->installation), $proved);
            $count = count($route->keys);

            return $count === 0
                ? []
                : [
                    new Task(
                        $count === 1
                            ? Message::of('visit.workload.1-proof')
                            : Message::of('visit.workload.proofs', count: $count),
                        $route->minutes - $route->waits,
                        $route->waits,
                    ),
                ];
        }
        $calls = array_filter(
            CallTable::needed($house->archetype)->calls(),
            static fn (CallName $c): bool => $c !== CallName::Idle && $c->mode() === null,
        );
        $off = $house->archetype->delays['compressor-off'] ?? 0;
        $compressor = count(
            array_filter(
                $calls,
                static fn (CallName $c): bool => $c->isCooling() ||
                    ($house->archetype->reverses && in_array($c, [CallName::Heat1, CallName::Heat2], true)),
            ),
        );

        return [
            new Task(
                Message::of('visit.workload.calls-prove', count: count($calls)),
                2 * count($calls) * self::STEP,
                (int) ceil((2 * $compressor * $off) / 60),
            ),
        ];
    }
}
