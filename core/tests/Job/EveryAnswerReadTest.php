<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Figures\OverflowPlacement;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Ask\FigureFacts;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Job\PlateAsFound;
use Unionbit\Core\Job\Suggest\EquipmentMatch;
use Unionbit\Core\Job\Suggest\ModelDigits;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\ThermostatChoice;
use Unionbit\Core\Planning\Plan\FoundPlan;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Steps\Steps;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Visit\SearchWords;
use Unionbit\Core\Wiring\Conductor;

// Every question has a reader: in some house that is asked it, each two of its answers lead to something else that is
// said or expected. A question that changes nothing goes.

/** The house with this answer, on the equipment that its answers mean. */
function answering(array $survey, string $archetype, string $key, mixed $value): Installation
{
    $survey = Interview::put($survey, $key, $value);
    $house = SurveyFile::read($survey, House::archetype($archetype));
    $id = EquipmentMatch::of($house->answers, House::shelf(), $archetype)->id ?? $archetype;

    return SurveyFile::read($survey, House::archetype($id));
}

/** @return array<string, Closure(Installation, Plan): mixed> what parts of the core say of a house, cheapest first */
function readersOf(): array
{
    $figures = [...Figures::all(), new OverflowPlacement()];

    return [
        'equipment' => static fn (Installation $h): mixed => EquipmentMatch::of($h->answers, House::shelf())->id,
        'screening' => static fn (Installation $h): mixed => Screening::check($h, []),
        'digits' => static fn (Installation $h): mixed => ModelDigits::suggest(
            $h->answers->choice('outdoorModel') ?? '',
        ),
        'figures' => static fn (Installation $h, Plan $p): mixed => array_map(
            static fn (Figure $f): mixed => $f->inputs($p),
            array_values(array_filter($figures, static fn (mixed $f): bool => $f instanceof Figure)),
        ),
        'settings' => static fn (Installation $h, Plan $p): mixed => array_map(
            static fn ($s): array => [$s->key, $s->value, $s->reason, $s->open],
            Derivation::all($p),
        ),
        'priors' => static fn (Installation $h, Plan $p): mixed => array_map(
            static fn ($f): array => [$f->id, $f->prior],
            House::faults()->of($p->circuit()),
        ),
        'assumptions' => static fn (Installation $h): mixed => PlateAsFound::assumptions($h),
        'search' => static fn (Installation $h, Plan $p): mixed => SearchWords::of($h, $p),
        'readings' => static function (Installation $h, Plan $p): mixed {
            $meter = new Meter($p->circuit());
            $common = $h->archetype->transformers[0]->common;
            $points = $p->circuit()->netlist(Setup::calling())->points;
            $read = static fn (string $point): array => [
                $meter->read(MeterMode::Volts, Setup::calling(), $point, $common),
                $meter->read(MeterMode::Ohms, Setup::isolated(), $point, $common),
            ];

            return array_map(
                $read,
                array_keys(array_filter($points, static fn ($point): bool => $point->probeable)),
            );
        },
        'waits' => static fn (Installation $h, Plan $p): mixed => array_map(
            static fn ($s): array => [$s->key(), $s->wait],
            (new Steps($p))->all(),
        ),
        'overflow' => static fn (Installation $h, Plan $p): mixed => [
            OverflowPlacement::pans($p),
            OverflowPlacement::pans(new Plan($h, House::profile('power-sharing-1h-1c'), $p->landing)),
        ],
        'offers' => static fn (Installation $h, Plan $p): mixed => array_map(
            static fn ($o): array => [$o->codes(), $o->lost(), $o->unmet(), $o->reasons()],
            Planner::of($h, $p->profile)->offered,
        ),
        'as found' => static function (Installation $h): mixed {
            $found = FoundPlan::of($h);

            return $found === null
                ? null
                : array_map(static fn ($s): array => [$s->key(), $s->hands], (new Steps($found))->all());
        },
        'thermostats' => static fn (Installation $h): mixed => ThermostatChoice::rank(
            $h,
            array_map(House::profile(...), [House::BATTERY, 'radio-pair-receiver']),
        ),
    ];
}

/** The first part of the core that says something else of the one house than of the other; null where none does. */
function readerBetween(Installation $one, Installation $other): ?string
{
    $plan = static function (Installation $house): Plan {
        $profile = House::profile(
            $house->archetype->terminals[0]->name->isHot() && count($house->archetype->terminals) === 2
                ? House::BATTERY
                : 'c-powered-humidity',
        );

        return new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    };
    // What a part says of a house is asked once, however many others the house is held against.
    static $said = [];
    $says = static function (string $name, Closure $reader, Installation $house) use (&$said, $plan): string {
        $key = md5(serialize([$house->archetype->id, SurveyFile::write($house)]));

        return $said["{$name} {$key}"] ??= md5(serialize($reader($house, $plan($house))));
    };
    foreach (readersOf() as $name => $reader) {
        if ($says($name, $reader, $one) !== $says($name, $reader, $other)) {
            return $name;
        }
    }

    return null;
}

/** One of the houses brings no common to the wall. */
function withoutC(Installation $house, string $archetype): Installation
{
    $cable = $house->wallCable();

    return $archetype !== 'furnace-gas-1h-1c' || $cable === null
        ? $house
        : $house->withCable(
            $cable->withConductors(
                array_values(
                    array_filter($cable->conductors, static fn (Conductor $c): bool => $c->far->terminal !== 'C'),
                ),
            ),
        );
}

/** @return list<mixed> answers to a question, two at least */
function answersTo(Question $question): array
{
    return match ($question->kind) {
        'choice' => array_map(strval(...), array_keys($question->choices)),
        'ticks' => [[], [(string) array_key_first($question->choices)]],
        'number' => [$question->min, ($question->min + $question->max) / 2.0],
        default => ['036 of spring', 'replaced 024'],
    };
}

$houses = [
    'furnace-gas-2h-2c' => [
        'display' => 'blank',
        'oldPower' => 'battery',
        'oldSwitches' => 'base',
        'fuseAmps' => 5,
        'floats' => 'none',
    ],
    'heat-pump-o-2c-2aux' => ['outdoorTons' => 3, 'indoorTons' => 3],
    'furnace-gas-1h' => [],
    'furnace-gas-1h-1c' => ['oldSwitches' => 'base'],
    'boiler-zone-valve-1c' => ['oldSwitches' => 'base'],
    'air-handler-hot-water-1c' => [],
    'air-handler-electric-1h-1c' => [],
];

it('reads every answer', function (string $key) use ($houses): void {
    $silent = null;
    $asked = 0;
    foreach ($houses as $archetype => $known) {
        $survey = SurveyFile::write(withoutC(ExampleHouse::of(House::archetype($archetype)), $archetype));
        foreach (
            [...EquipmentMatch::answersOf(House::shelf(), $archetype)->given, ...$known] as $answered => $value
        ) {
            $survey = Interview::put($survey, (string) $answered, $value);
        }
        $house = SurveyFile::read($survey, House::archetype($archetype));
        $question = Questions::named($key);
        if ($question?->isAskedOf($house) !== true) {
            continue;
        }
        $asked++;
        $said = array_map(
            static fn (mixed $value): Installation => answering($survey, $archetype, $key, $value),
            answersTo($question),
        );
        $here = [];
        foreach ($said as $n => $one) {
            foreach (array_slice($said, 0, $n, true) as $m => $other) {
                if ($silent === null || in_array([$m, $n], $silent, true)) {
                    $here = readerBetween($one, $other) === null ? [...$here, [$m, $n]] : $here;
                }
            }
        }
        $silent = $here;
        if ($silent === []) {
            break;
        }
    }

    expect($asked)
        ->toBeGreaterThan(0, 'nobody is asked it')
        ->and(
            array_map(
                static fn (array $pair): array => array_map(
                    static fn (int $n): mixed => answersTo(Questions::named($key))[$n],
                    $pair,
                ),
                $silent ?? [],
            ),
        )
        ->toBe([]);
})->with(
    array_values(
        array_filter(
            Questions::keys(),
            static fn (string $key): bool => ! in_array(
                $key,
                array_map(static fn (Question $q): string => $q->key, FigureFacts::all()),
                true,
            ),
        ),
    ),
);
