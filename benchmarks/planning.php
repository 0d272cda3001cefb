<?php

declare(strict_types=1);

// Planning of the largest houses, all candidates proved by simulation, on one core: php benchmarks/planning.php [runs]

use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Thermostat\ProfileReader;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;

require __DIR__.'/../vendor/autoload.php';

['json' => $json, 'shelf' => $shelf] = require __DIR__.'/catalog.php';
$profile = ProfileReader::read($json('thermostats/c-powered-3h-2c'));

foreach (
    [
        'dual-fuel-o-2c-2h' => [],
        'dual-fuel-o-2c-2h without its C and G conductors' => ['C', 'G'],
        'heat-pump-o-2c-2aux without C' => ['C'],
    ] as $title => $missing
) {
    $house = ExampleHouse::of($shelf->archetype(explode(' ', $title)[0]));
    $wall = $house->wallCable() ?? throw new LogicException('no wall cable');
    $house = $house->withCable(
        $wall->withConductors(
            array_map(
                static fn ($c) => in_array($c->far->terminal, $missing, true)
                    ? $c->withNear(End::free(EndState::BrokenOff))->withFar(End::free())
                    : $c,
                $wall->conductors,
            ),
        ),
    );
    $times = [];
    $runs = max(1, (int) ($argv[1] ?? 9));
    for ($run = 0; $run < $runs; $run++) {
        $start = hrtime(true);
        $list = Planner::of($house, $profile);
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    $first = $times[0];
    sort($times);
    printf(
        "%-50s %3d candidates proved, %d offered, first %.0f ms, median %.0f ms\n",
        $title,
        $list->tried,
        count($list->offered),
        $first,
        $times[intdiv($runs, 2)],
    );

    $plan = $list->offered[0]->plan;
    $edits = [];
    foreach ($plan->installation->wallCable()->conductors ?? [] as $conductor) {
        foreach ($profile->terminals as $terminal) {
            $edited = $plan->landed($plan->landing->onWall($conductor->id(), End::landed($terminal->printed)));
            $start = hrtime(true);
            Simulation::prove($edited);
            MappingRules::check($edited);
            $edits[] = (hrtime(true) - $start) / 1e6;
        }
    }
    sort($edits);
    printf(
        "%-50s %3d edits judged by rules and circuit, median %.1f ms, 95th percentile %.1f ms\n",
        '',
        count($edits),
        $edits[intdiv(count($edits), 2)],
        $edits[(int) (0.95 * count($edits))],
    );
}
printf("peak memory %.0f MB\n", memory_get_peak_usage(true) / 1048576);
