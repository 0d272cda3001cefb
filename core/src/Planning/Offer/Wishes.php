<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Thermostat\RemoteControl;
use Unionbit\Core\Words\Message;

/** What was wished of the new thermostat, held against one plan: what it does not give is named and costs its rank. */
final class Wishes
{
    /** Points of a wish that is not met: between a lost second stage and a lost first one. */
    public const POINTS = 7.5;

    /** The most that small parts come to: a jumper 0.2, a kit's adapter or a relay 1.5; a cable is 6. */
    private const SMALL = 2.0;

    /** @return list<Message> */
    public static function unmet(PlanOffer $offer): array
    {
        $answers = $offer->plan->installation->answers;
        $moves = in_array('WO12', $offer->codes(), true) || RunsOn::isRadio($offer->plan);
        $budget = $answers->choice('budget');
        $proves = static fn (CallName $call): bool => self::proves($offer, $call);
        $checks = [
            'remote' => $answers->is('remote', 'yes') && $offer->plan->profile->remoteControl === RemoteControl::None,
            'batteries' => $answers->is('batteries', 'no') && RunsOn::needsBatteries($offer->plan),
            'humidify' => $answers->is('humidity', 'humidify', 'both') && ! $proves(CallName::Humidify),
            'dehumidify' => $answers->is('humidity', 'dehumidify', 'both') && ! $proves(CallName::Dehumidify),
            'stays' => $answers->is('wallPlace', 'stays') && in_array('WO12', $offer->codes(), true),
            'moves' => $answers->is('wallPlace', 'should') && ! $moves,
            'nothing' => $budget === 'nothing' && $offer->partPoints() > 0.0,
            'small' => $budget === 'small' && $offer->partPoints() > self::SMALL,
        ];
        $unmet = [];
        foreach (array_keys(array_filter($checks)) as $wish) {
            $unmet[] = Message::of('planning.wishes.unmet', wish: $wish);
        }
        foreach (self::drowned($offer) as $wish) {
            $unmet[] = Message::of(
                'planning.wishes.does-not-survive',
                what: Message::of('circuit.water.wish', wish: $wish),
            );
        }

        return $unmet;
    }

    /** Work at the equipment was ruled out, and this asks for some. */
    public static function refusal(PlanOffer $offer): ?Message
    {
        return $offer->plan->installation->answers->is('workAt', 'wall') && $offer->trips() > 0
            ? Message::of('planning.thermostat-choice.needs-work-at-equipment')
            : null;
    }

    /** @return list<Message> wishes that this thermostat meets, where it is worth saying how */
    public static function met(PlanOffer $offer): array
    {
        $answers = $offer->plan->installation->answers;
        $met = [];
        if ($answers->is('remote', 'yes') && $offer->plan->profile->remoteControl !== RemoteControl::None) {
            $met[] = Message::of('planning.wishes.remote', how: $offer->plan->profile->remoteControl->value);
        }
        if ($answers->is('wallPlace', 'may', 'should') && RunsOn::isRadio($offer->plan)) {
            $met[] = Message::of('planning.thermostat-choice.wall-unit-can-hang-anywhere');
        }

        return $met;
    }

    private static function proves(PlanOffer $offer, CallName $call): bool
    {
        return array_filter(
            $offer->proof->calls,
            static fn (CallProof $p): bool => $p->call === $call && $p->isProved(),
        ) !== [];
    }

    /** @return list<string> what was to survive a full pan and does not, with some overflow switch of the house */
    private static function drowned(PlanOffer $offer): array
    {
        $wishes = $offer->plan->installation->answers->ticks('panFull');
        $unmet = [];
        foreach ($wishes === [] ? [] : $offer->proof->pans as $pan) {
            array_push($unmet, ...$pan->unmet($wishes));
        }

        return array_values(array_unique($unmet));
    }
}
