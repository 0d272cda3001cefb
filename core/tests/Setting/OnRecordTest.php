<?php

declare(strict_types=1);

use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\CallConsequence;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\SettingCheck;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;

// Every key of several houses with thermostats of several kinds and answers that decide something: what it should be,
// why, and what each wrong choice does. On record.

function houseWith(string $archetype, string $profile, array $answers): Plan
{
    $read = House::archetype($archetype);
    $survey = SurveyFile::write(ExampleHouse::of($read));
    $survey['answers'] = $answers + ($survey['answers'] ?? []);
    $house = SurveyFile::read($survey, $read);
    $thermostat = House::profile($profile);

    return new Plan($house, $thermostat, LetterToLetter::landing($house, $thermostat));
}

it('sets every key as it is on record', function (string $archetype): void {
    $told = [];
    $pick = new Pick($archetype);
    $figures = [
        [],
        ['heatLoss' => 40000.0, 'designTemp' => 10.0, 'capacity47' => 36000.0, 'capacity17' => 21000.0],
        [
            'heatLoss' => 30000.0,
            'designTemp' => 0.0,
            'capacity47' => 36000.0,
            'priceElectric' => 0.15,
            'priceGas' => 1.4,
        ],
    ];
    foreach (['c-powered-3h-2c', 'c-or-battery-2h-2c'] as $profile) {
        foreach ($profile === 'c-powered-3h-2c' ? $figures : [[]] as $turn => $answers) {
            $plan = houseWith(
                $archetype,
                $profile,
                $answers + [
                    'fanJumper' => $pick->one(['gas', 'electric', 'none']),
                ],
            );
            $entered = [];
            foreach (Derivation::all($plan) as $setting) {
                $name = "{$profile} {$turn} {$setting->key->value}";
                $told[$name] = $setting->toArray();
                foreach ($turn === 0 ? array_keys($setting->choices) : [] as $choice) {
                    $wrong = $setting->ifWrong((string) $choice);
                    $told["{$name} as {$choice}"] = [
                        $wrong,
                        CallConsequence::of($plan, $setting->key, (string) $choice),
                        SettingCheck::effects($plan, $entered, $setting->key, (string) $choice),
                    ];
                }
                if ($pick->one([true, false])) {
                    $entered[$setting->key->value] = (string) $pick->one(array_keys($setting->choices) ?: ['']);
                }
            }
            foreach (SettingCheck::check($plan, $entered) as $n => $finding) {
                $told["{$profile} {$turn} finds {$n}"] = $finding->toArray();
            }
            foreach (SettingCheck::table($plan, $entered)['rows'] as $row) {
                $told["{$profile} {$turn} {$row['call']}"] = implode(
                    '',
                    array_map(
                        static fn (array $c): string => $c['closed']
                            ? ($c['needed']
                                ? 'X'
                                : '!')
                            : ($c['needed']
                                ? '?'
                                : '.'),
                        $row['cells'],
                    ),
                );
            }
        }
    }

    expect(lines($told))->toBe(onRecord("setting-{$archetype}", lines($told)));
})->with(['dual-fuel-o-2c-2h', 'heat-pump-b-1c-1aux', 'furnace-gas-2h-2c']);
