<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\Profile;

/** Which kinds of thermostat suit this house, from a few questions and the best plan that each of them has here. */
final class ThermostatChoice
{
    /** Points that an unmet wish costs, in the scale of {@see PlanOffer::score()}. */
    private const UNMET = 60.0;

    /** @return list<array{key: string, text: string, choices: array<string, string>}> */
    public static function questions(): array
    {
        return [
            [
                'key' => 'remote',
                'text' => 'Should it be set from a telephone?',
                'choices' => ['yes' => 'Yes', 'no' => 'No matter'],
            ],
            [
                'key' => 'attic',
                'text' => 'May work be done at the equipment?',
                'choices' => ['yes' => 'Yes', 'no' => 'Only at the wall'],
            ],
            [
                'key' => 'batteries',
                'text' => 'Are batteries to be changed acceptable?',
                'choices' => ['yes' => 'Yes', 'no' => 'No'],
            ],
            [
                'key' => 'move',
                'text' => 'May the wall position move?',
                'choices' => ['no' => 'It stays', 'yes' => 'It may move'],
            ],
        ];
    }

    /**
     * @param  list<Profile>  $profiles
     * @param  array<string, string>  $wishes  by question
     * @return list<array{profile: string, title: string, score: float, best: ?string, lost: list<string>, parts: list<string>, minutes: ?int, reasons: list<string>, refused: list<string>}> best first; those without a plan last
     */
    public static function rank(Installation $house, array $profiles, array $wishes, ?Weights $weights = null): array
    {
        $weights ??= new Weights();
        $rows = array_map(
            static fn (Profile $profile): array => self::row($house, $profile, $wishes, $weights),
            $profiles,
        );
        usort(
            $rows,
            static fn (array $a, array $b): int => [$a['best'] === null, $a['score']] <=> [
                $b['best'] === null,
                $b['score'],
            ],
        );

        return $rows;
    }

    /**
     * @param  array<string, string>  $wishes
     * @return array{profile: string, title: string, score: float, best: ?string, lost: list<string>, parts: list<string>, minutes: ?int, reasons: list<string>, refused: list<string>}
     */
    private static function row(Installation $house, Profile $profile, array $wishes, Weights $weights): array
    {
        $list = Planner::of($house, $profile, $weights);
        $wallOnly = ($wishes['attic'] ?? 'yes') === 'no';
        $fitting = array_values(
            array_filter($list->offered, static fn (PlanOffer $c): bool => ! $wallOnly || $c->trips() === 0),
        );
        $best = $fitting[0] ?? null;
        $unmet = self::unmet($profile, $wishes);
        $refused =
            $best !== null
                ? []
                : ($list->offered !== []
                    ? ['It needs work at the equipment.']
                    : array_slice($list->refused === [] ? [] : $list->refused[0]->refusals(), 0, 3));

        return [
            'profile' => $profile->id,
            'title' => $profile->title,
            'score' => ($best?->score($weights) ?? 1000.0) + self::UNMET * count($unmet),
            'best' => $best?->title(),
            'lost' => $best?->lost() ?? [],
            'parts' => $best?->parts() ?? [],
            'minutes' => $best?->minutes(),
            'reasons' => [...$unmet, ...self::good($profile, $wishes), ...$best?->reasons() ?? []],
            'refused' => $refused,
        ];
    }

    /**
     * @param  array<string, string>  $wishes
     * @return list<string>
     */
    private static function unmet(Profile $profile, array $wishes): array
    {
        return array_values(
            array_filter([
                ($wishes['remote'] ?? 'no') === 'yes' && $profile->remoteControl === 'none'
                    ? 'cannot be set from a telephone'
                    : null,
                ($wishes['batteries'] ?? 'yes') === 'no' && in_array($profile->power, [PowerKind::Battery], true)
                    ? 'runs on batteries'
                    : null,
            ]),
        );
    }

    /**
     * @param  array<string, string>  $wishes
     * @return list<string>
     */
    private static function good(Profile $profile, array $wishes): array
    {
        return array_values(
            array_filter([
                ($wishes['remote'] ?? 'no') === 'yes' && $profile->remoteControl !== 'none'
                    ? ($profile->remoteControl === 'bridge'
                        ? 'can be set from a telephone, through a bridge'
                        : 'can be set from a telephone')
                    : null,
                ($wishes['move'] ?? 'no') === 'yes' &&
                $profile->outputs === Place::Module &&
                $profile->linkConductors === 0
                    ? 'its wall unit can hang anywhere (WO12)'
                    : null,
            ]),
        );
    }
}
