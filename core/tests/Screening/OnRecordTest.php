<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Screening\SurveyReading;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Evidence;

// Houses with something wrong in each: a screw, a letter, a mark, an answer, a reading, picked by a seed that never
// changes. What the screening says of each is on record.

/** @return array<string, mixed> a survey document with some of it changed */
function changedSurvey(Pick $pick, string $archetype): array
{
    $survey = SurveyFile::write(ExampleHouse::of(House::archetype($archetype)));
    foreach ($survey['cables'] as &$cable) {
        foreach ($cable['conductors'] as &$conductor) {
            if ($pick->one([true, false, false])) {
                $end = $pick->one(['near', 'far']);
                $conductor[$end] =
                    ['terminal' => $pick->one(['R', 'C', 'W', 'Y', 'G', 'O', 'B', 'X'])] + $conductor[$end];
                $conductor['evidence'] = $pick->one(array_column(Evidence::cases(), 'value'));
            }
            if ($pick->one([true, false, false, false])) {
                $conductor['condition'] = [$pick->one(array_column(Condition::cases(), 'value'))];
            }
        }
        $cable['kind'] = $pick->one(['solid', 'stranded', 'telephone', 'thick', null]);
        $cable['feet'] = $pick->one([20, 90, 240]);
        $cable['gauge'] = $pick->one([18, 20, 22, 24]);
    }
    foreach (Questions::all() as $question) {
        if (Interview::isNote($question->key) && $pick->one([true, false])) {
            $survey['answers'][$question->key] = answered($pick, $question);
        }
    }
    $survey['facts']['plateLink'] = $pick->one(['in', 'out', 'none', 'unknown']);
    $survey['facts']['oldPower'] = $pick->one(['common', 'battery', 'shared']);
    $survey['facts']['fuseAmps'] = $pick->one([3.0, 5.0]);

    return $survey;
}

function answered(Pick $pick, Question $question): mixed
{
    return match ($question->kind) {
        'choice' => $pick->one(array_map(strval(...), array_keys($question->choices))),
        'ticks' => [$pick->one(array_map(strval(...), array_keys($question->choices)))],
        'number' => $pick->one([$question->min, ($question->min + $question->max) / 2, $question->max]),
        default => 'as found',
    };
}

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
        $survey = SurveyFile::read(changedSurvey($pick, $archetype), House::archetype($archetype));
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
