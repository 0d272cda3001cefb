<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\House\BoardView;
use App\House\House;
use App\Words\Speaker;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Load\LoadCheck;
use Unionbit\Core\Proving\Load\LoadChecks;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Step;

/**
 * What the circuit has to say of a plan's steps: expected readings, the board as each step makes it, the load checks.
 * It changes only with house, thermostat and landing, so it is solved once for each of them.
 *
 * @phpstan-type Sheet array{expected: list<array<string, mixed>>, board: array<string, mixed>,
 *     waitingBoard: array<string, mixed>}
 */
final class StepSheet
{
    private const AN_HOUR = 3600;

    /**
     * @param  list<Step>  $steps
     * @return array<string, Sheet> by step
     */
    public static function of(Plan $plan, array $steps): array
    {
        return Cache::remember(
            'step-sheet/'.House::key($plan).'/'.House::asks($steps),
            self::AN_HOUR,
            static function () use ($plan, $steps): array {
                $house = AskedHouse::of($plan->circuit());
                $board = static fn (Hands $h): array => BoardView::state(
                    $plan,
                    $house->circuit->operate($house->setup($h)),
                );
                $sheets = [];
                foreach ($steps as $step) {
                    $sheets[$step->key()] = [
                        'expected' => array_map(
                            static fn (Measure $p): array => $house
                                ->expects($step->hands, $p->mode, $p->a, $p->b)
                                ->toArray(),
                            $step->probes,
                        ),
                        'board' => $board($step->hands),
                        'waitingBoard' => $board($step->waiting),
                    ];
                }

                return $sheets;
            },
        );
    }

    /**
     * The same in the words and units of whoever asks, said once for each.
     *
     * @param  list<Step>  $steps
     * @return array<string, Sheet> by step
     */
    public static function spoken(Plan $plan, array $steps): array
    {
        $speaker = app(Speaker::class);
        $key = implode('/', [
            'step-words',
            app()->getLocale(),
            $speaker->units()->value,
            House::key($plan),
            House::asks($steps),
        ]);

        return Cache::remember($key, self::AN_HOUR, static function () use ($speaker, $plan, $steps): array {
            /** @var array<string, Sheet> $spoken */
            $spoken = $speaker->spoken(self::of($plan, $steps));

            return $spoken;
        });
    }

    /** @return list<LoadCheck> */
    public static function loads(Plan $plan): array
    {
        return Cache::remember(
            'load-checks/'.House::key($plan),
            self::AN_HOUR,
            static fn (): array => (new LoadChecks($plan))->all(),
        );
    }
}
