<?php

declare(strict_types=1);

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Proving\Judge\Pattern;
use Unionbit\Core\Proving\Judge\StepEvidence;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Tests\Support\House;

// What a reading is judged to be at every probe of every step: in the band, at its edges, past them, none at all, dead
// and not dead; with a delay running and without; and what single change would give it. On record.

it('judges as it is on record', function (string $archetype): void {
    $plan = House::example($archetype, 'c-powered-1h-1c');
    $circuit = $plan->circuit();
    $house = AskedHouse::of($circuit);
    $judge = new Judge($house);
    $told = [];
    foreach ((new Steps($plan))->all() as $step) {
        foreach (array_slice($step->probes, 0, 2) as $n => $probe) {
            $expected = $house->expects($step->hands, $probe->mode, $probe->a, $probe->b);
            $values = [
                'low' => $expected->low,
                'under' => $expected->low === null ? null : $expected->low * 0.98 - 0.05,
                'high' => $expected->high,
                'over' => $expected->high === null ? null : $expected->high * 1.02 + 0.05,
                'dead' => 0.0,
                'half' => 12.4,
                'none' => null,
            ];
            foreach ($n === 0 ? $values : array_slice($values, 0, 4) as $name => $value) {
                $at = "{$step->key()} {$n} {$name}";
                $told[$at] = $judge->reading($expected, $step->hands, $value)->toArray();
                $told["{$at} early"] = $judge->reading($expected, $step->hands, $value, 90)->outcome;
            }
        }
    }
    foreach ([0.0, 0.9, 1.0, 1.1, 24.0] as $volts) {
        $off = Hands::dead();
        $told["off {$volts}"] = $judge
            ->reading($house->expects($off, MeterMode::Volts, 'indoor.R', 'indoor.C'), $off, $volts)
            ->toArray();
    }
    $odd = new MeterReading(MeterMode::Volts, 'wall.Y1', 'wall.C', 0.0);
    $also = new MeterReading(MeterMode::Volts, 'wall.Rc', 'wall.C', 26.0);
    $call = (new Steps($plan))->find('cool-1.voltage')->hands ?? throw new LogicException('no call');
    $told['with another reading'] = $judge
        ->reading(
            $house->expects($call, MeterMode::Volts, 'wall.Y1', 'wall.C'),
            $call,
            $odd->value,
            others: [$also],
        )
        ->toArray();
    $seen = [];
    foreach ((new Steps($plan))->all() as $step) {
        if ($step->method->value === 'voltage') {
            $seen[] = new StepEvidence($step, [], [new MeterReading(MeterMode::Volts, 'wall.Rc', 'wall.C', 0.0)]);
        }
    }
    $told['pattern of a dead plate'] = array_map(
        static fn (Fault $f): array => ['id' => $f->id, 'title' => $f->title, 'fix' => $f->fix],
        (new Pattern(AskedHouse::of($circuit), House::faults()))->explain($seen),
    );

    expect(lines($told))->toBe(onRecord("judge-{$archetype}", lines($told)));
})->with(['furnace-gas-1h-1c']);
