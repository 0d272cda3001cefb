<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Point\At;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Screening\Rule\SurveyReading;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Screening\VanishingPoint;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;
use Unionbit\Core\Tests\Support\RandomSurvey;

// Houses with something wrong in each: a screw, a letter, a mark, an answer, a reading, picked by a seed that never
// changes. What the screening says of each is on record.

/** @return list<SurveyReading> */
function readingsOf(Pick $pick): array
{
    $points = ['wall.R', 'wall.Rc', 'wall.Rh', 'wall.C', 'wall.W', 'wall.Y', 'indoor.R', 'indoor.C', 'indoor.Y'];
    $points = [...$points, 'outdoor.Y', 'outdoor.C', 'A4.near', 'A4.far'];
    $readings = [];
    for ($i = 0; $i < $pick->one([0, 2, 5]); $i++) {
        $readings[] = new SurveyReading(
            $pick->one($points),
            $pick->one($points),
            $pick->one([0.0, 0.4, 1.9, 12.0, 18.0, 21.5, 24.9, 26.7, 30.1, 55.0, 60.5, 118.0, null]),
            $pick->one([MeterMode::Volts, MeterMode::Volts, MeterMode::Volts, MeterMode::Ohms]),
        );
    }

    return $readings;
}

it('says of each house what is on record', function (string $archetype): void {
    $told = [];
    $pick = new Pick($archetype);
    for ($i = 0; $i < 24; $i++) {
        $survey = SurveyFile::read(RandomSurvey::of($pick, $archetype, (string) $i), House::archetype($archetype));
        foreach (Screening::check($survey, readingsOf($pick)) as $n => $finding) {
            $told["{$i}.{$n}"] = array_filter($finding->toArray());
        }
        $told["{$i} stops"] = array_map(
            static fn (Finding $f): string => $f->code,
            Screening::stops($survey, readingsOf($pick)),
        );
    }

    expect(lines($told))->toBe(onRecord("screening-{$archetype}", lines($told)));
})->with([
    'furnace-gas-1h-1c',
    'heat-pump-o-2c-2aux',
    'furnace-oil-own-transformer-1c',
    'communicating-converted-2c',
]);

it('turns with a reading where it is on record', function (): void {
    $told = [];
    foreach (['furnace-gas-1h-1c', 'heat-pump-o-1c-1aux', 'furnace-oil-own-transformer-1c'] as $archetype) {
        $survey = SurveyFile::write(ExampleHouse::of(House::archetype($archetype)));
        $survey['cables'][0]['conductors'][2]['near'] = ['state' => 'landed', 'terminal' => 'X'];
        $house = SurveyFile::read($survey, House::archetype($archetype));
        foreach (
            [
                ['wall.R', 'wall.C'],
                ['indoor.R', 'indoor.C'],
                ['wall.Rc', 'wall.Rh'],
                ['wall.X', 'wall.C'],
                ['wall.X', 'wall.R'],
                ['indoor.C', 'outdoor.C'],
            ] as [$a, $b]
        ) {
            foreach ([MeterMode::Volts, MeterMode::Ohms] as $mode) {
                $told["{$archetype} {$a} {$b} {$mode->value}"] = turning(
                    static fn (float $x): string => implode(
                        ' ',
                        array_map(
                            static fn (
                                Finding $f,
                            ): string => "{$f->code} {$f->severity->value} {$f->title->code} {$f->meaning->code}",
                            Screening::check($house, [new SurveyReading($a, $b, $x, $mode)]),
                        ),
                    ),
                    0.0,
                    130.0,
                );
            }
        }
    }

    expect(lines($told))->toBe(onRecord('screening-turns', lines($told)));
});

it('takes a reading for what is on record', function (): void {
    $points = [];
    foreach (['wall', 'indoor', 'outdoor'] as $place) {
        foreach (['R', 'Rc', 'Rh', 'C', 'COM', 'W', 'Y'] as $letter) {
            $points[] = "{$place}.{$letter}";
        }
    }
    $points[] = 'A1.near';
    $house = ExampleHouse::of(House::archetype('furnace-gas-1h-1c'));
    $told = [];
    foreach ($points as $a) {
        $told[$a] = implode(
            '',
            array_map(static function (string $b) use ($a, $house): string {
                $reading = new SurveyReading($a, $b, 24.0);

                return $reading->isHotToCommon($house) ? 'C' : ($reading->isFromHot($house) ? 'h' : '.');
            }, $points),
        );
    }

    expect(lines($told))->toBe(onRecord('screening-readings', lines($told)));
});

// By what the screws mean in this house, however they are printed.
it('knows every supply\'s own screws as a hot and a common', function (string $id): void {
    $house = ExampleHouse::of(House::archetype($id));
    $asked = [];
    foreach ($house->transformers() as $supply) {
        if ($house->nameAt(At::read($supply->hot)) !== null && $house->nameAt(At::read($supply->common)) !== null) {
            $reading = new SurveyReading($supply->hot, $supply->common, 24.0);
            $asked[] = $reading->isHotToCommon($house) && $reading->isFromHot($house);
        }
    }
    expect(array_filter($asked, static fn (bool $known): bool => ! $known))->toBe([]);
})->with(House::ids('equipment'));

it('finds where the supply vanishes as it is on record', function (): void {
    $house = ExampleHouse::of(House::archetype('furnace-gas-1h-1c'));
    $pairs = [
        ['indoor.R', 'indoor.C'],
        ['wall.R', 'wall.C'],
        ['wall.Rc', 'wall.C'],
        ['outdoor.Y', 'outdoor.C'],
        ['indoor.R', 'wall.C'],
        ['wall.R', 'indoor.C'],
    ];
    $told = [];
    $pick = new Pick('vanishing');
    for ($i = 0; $i < 160; $i++) {
        $readings = [];
        foreach ($pairs as [$a, $b]) {
            if ($pick->one([true, true, false])) {
                $value = $pick->one([0.0, 0.4, 0.99, 1.0, 1.01, 9.0, 17.9, 18.0, 18.1, 20.0, 26.0, null]);
                $readings[] = new SurveyReading($a, $b, $value, $pick->one([MeterMode::Volts, MeterMode::Ohms]));
            }
        }
        $told[(string) $i] = VanishingPoint::find($house, $readings)?->toArray();
    }

    expect(lines($told))->toBe(onRecord('screening-vanishing', lines($told)));
});
