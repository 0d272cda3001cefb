<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Words\Message;

/** Which kinds of thermostat suit this house, from a few questions and the best plan that each of them has here. */
final class ThermostatChoice
{
    /** Points that an unmet wish costs, in the scale of {@see PlanOffer::score()}. */
    private const UNMET = 60.0;

    /** @return list<array{key: string, text: Message, choices: array<string, Message>}> */
    public static function questions(): array
    {
        return [
            [
                'key' => 'remote',
                'text' => Message::of('planning.thermostat-choice.should-be-set-from-telephone'),
                'choices' => [
                    'yes' => Message::of('planning.thermostat-choice.yes'),
                    'no' => Message::of('planning.thermostat-choice.no-matter'),
                ],
            ],
            [
                'key' => 'attic',
                'text' => Message::of('planning.thermostat-choice.may-work-be-done-at'),
                'choices' => [
                    'yes' => Message::of('planning.thermostat-choice.yes'),
                    'no' => Message::of('planning.thermostat-choice.only-at-wall'),
                ],
            ],
            [
                'key' => 'batteries',
                'text' => Message::of('planning.thermostat-choice.batteries-be-changed-acceptable'),
                'choices' => [
                    'yes' => Message::of('planning.thermostat-choice.yes'),
                    'no' => Message::of('planning.thermostat-choice.no'),
                ],
            ],
            [
                'key' => 'move',
                'text' => Message::of('planning.thermostat-choice.may-wall-position-move'),
                'choices' => [
                    'no' => Message::of('planning.thermostat-choice.stays'),
                    'yes' => Message::of('planning.thermostat-choice.may-move'),
                ],
            ],
        ];
    }

    /**
     * @param  list<Profile>  $profiles
     * @param  array<string, string>  $wishes  by question
     * @return list<array{profile: string, title: Message, score: float, best: ?Message, lost: list<Message>,
     *     parts: list<Message>, minutes: ?int, reasons: list<Message>, refused: list<Message>}> best first; those
     *     without a plan last
     */
    public static function rank(
        Installation $house,
        array $profiles,
        array $wishes,
        ?Weights $weights = null,
    ): array {
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
     * @return array{profile: string, title: Message, score: float, best: ?Message, lost: list<Message>,
     *     parts: list<Message>, minutes: ?int, reasons: list<Message>, refused: list<Message>}
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
                    ? [Message::of('planning.thermostat-choice.needs-work-at-equipment')]
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
     * @return list<Message>
     */
    private static function unmet(Profile $profile, array $wishes): array
    {
        return array_values(
            array_filter([
                ($wishes['remote'] ?? 'no') === 'yes' && $profile->remoteControl === 'none'
                    ? Message::of('planning.thermostat-choice.cannot-be-set-from-telephone')
                    : null,
                ($wishes['batteries'] ?? 'yes') === 'no' && in_array($profile->power, [PowerKind::Battery], true)
                    ? Message::of('planning.thermostat-choice.runs-on-batteries')
                    : null,
            ]),
        );
    }

    /**
     * @param  array<string, string>  $wishes
     * @return list<Message>
     */
    private static function good(Profile $profile, array $wishes): array
    {
        return array_values(
            array_filter([
                ($wishes['remote'] ?? 'no') === 'yes' && $profile->remoteControl !== 'none'
                    ? ($profile->remoteControl === 'bridge'
                        ? Message::of('planning.thermostat-choice.can-be-set-from-telephone')
                        : Message::of('planning.thermostat-choice.can-be-set-from-telephone-2'))
                    : null,
                ($wishes['move'] ?? 'no') === 'yes' &&
                $profile->outputs === Place::Module &&
                $profile->linkConductors === 0
                    ? Message::of('planning.thermostat-choice.wall-unit-can-hang-anywhere')
                    : null,
            ]),
        );
    }
}
