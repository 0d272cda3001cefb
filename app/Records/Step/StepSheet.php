<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\House\BoardView;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Load\LoadCheck;
use Unionbit\Core\Proving\Load\LoadChecks;
use Unionbit\Core\Proving\Step\Probe;
use Unionbit\Core\Proving\Step\Step;

/**
 * What the circuit has to say of a plan's steps: expected readings, the board as each step makes it, the load checks.
 * It changes only with house, thermostat and landing, so it is solved once for each of them.
 */
final class StepSheet
{
    private const AN_HOUR = 3600;

    /** What a plan's answers may be kept under: the same house, thermostat and landing give the same. */
    public static function key(Plan $plan): string
    {
        return md5(serialize([$plan->installation, $plan->profile, $plan->landing]));
    }

    /**
     * @param  list<Step>  $steps
     * @return array<string, array{expected: list<array<string, mixed>>, board: array<string, mixed>,
     *     waitingBoard: array<string, mixed>}> by step
     */
    public static function of(Plan $plan, array $steps): array
    {
        return Cache::remember('step-sheet/'.self::key($plan), self::AN_HOUR, static function () use (
            $plan,
            $steps,
        ): array {
            $circuit = $plan->circuit();
            $meter = new Meter($circuit);
            $sheets = [];
            foreach ($steps as $step) {
                $sheets[$step->key()] = [
                    'expected' => array_map(
                        static fn (Probe $p): array => $meter->read($p->mode, $step->setup, $p->a, $p->b)->toArray(),
                        $step->probes,
                    ),
                    'board' => BoardView::state($plan, $circuit->operate($step->setup)),
                    'waitingBoard' => BoardView::state($plan, $circuit->operate($step->waiting)),
                ];
            }

            return $sheets;
        });
    }

    /** @return list<LoadCheck> */
    public static function loads(Plan $plan): array
    {
        return Cache::remember(
            'load-checks/'.self::key($plan),
            self::AN_HOUR,
            static fn (): array => (new LoadChecks($plan))->all(),
        );
    }
}
