<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Words\Message;

/** Which kinds of thermostat suit this house, by the best plan that each of them has here and by what was wished. */
final class ThermostatChoice
{
    /** The survey's questions that it rests on. */
    public const ASKS = ['remote', 'batteries', 'humidity', 'wallPlace', 'workAt', 'budget', 'panFull'];

    /**
     * @param  list<Profile>  $profiles
     * @return list<array{profile: string, title: Message, score: float, best: ?Message, lost: list<Message>,
     *     parts: list<Message>, minutes: ?int, reasons: list<Message>, refused: list<Message>}> best first; those
     *     without a plan last
     */
    public static function rank(Installation $house, array $profiles, ?Weights $weights = null): array
    {
        $weights ??= new Weights();
        $rows = array_map(static fn (Profile $profile): array => self::row($house, $profile, $weights), $profiles);
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
     * @return array{profile: string, title: Message, score: float, best: ?Message, lost: list<Message>,
     *     parts: list<Message>, minutes: ?int, reasons: list<Message>, refused: list<Message>}
     */
    private static function row(Installation $house, Profile $profile, Weights $weights): array
    {
        $list = Planner::of($house, $profile, $weights);
        $best = $list->offered[0] ?? null;
        $refused = $best !== null || $list->refused === [] ? [] : array_slice($list->refused[0]->refusals(), 0, 3);

        return [
            'profile' => $profile->id,
            'title' => $profile->title,
            'score' => $best?->score($weights) ?? 1000.0,
            'best' => $best?->title(),
            'lost' => $best?->lost() ?? [],
            'parts' => $best?->parts() ?? [],
            'minutes' => $best?->minutes(),
            'reasons' => $best?->reasons() ?? [],
            'refused' => $refused,
        ];
    }
}
