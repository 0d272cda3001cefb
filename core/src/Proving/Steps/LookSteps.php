<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Steps;

use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Fault\Look;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/** What is looked at, pulled and compared, and the cable by itself: what no reading of the house together shows. */
final class LookSteps
{
    /** @return list<Step> */
    public static function of(Plan $plan, Waits $waits): array
    {
        $lifted = [];
        foreach ($plan->installation->wallConductors() as $conductor) {
            array_push($lifted, At::near($conductor->id()), At::far($conductor->id()));
        }

        $looks = self::step(Method::Looks, Hands::calling(), self::looks($plan), $waits);
        $dead = Hands::dead()->faced(Face::Off)->lifting(...$lifted);

        return $lifted === []
            ? [$looks]
            : [$looks, self::step(Method::Cable, $dead, [Look::Apart, Look::Loop], $waits)];
    }

    /** The item of a look, as its sign is kept: the same for every house. */
    public static function item(Look $look): string
    {
        $method = $look->isDead() ? Method::Cable : Method::Looks;

        return CallName::Idle->value.".{$method->value}/{$look->value}";
    }

    /** @return list<Look> that this house has */
    private static function looks(Plan $plan): array
    {
        $archetype = $plan->installation->archetype;
        $spares = array_filter(
            $plan->installation->wallConductors(),
            static fn (Conductor $c): bool => $c->isSpare(),
        );
        $has = [
            [Look::Fuse, true],
            [Look::Tap, true],
            [Look::Link, $plan->profile->link !== null],
            [Look::Settings, true],
            [Look::Tug, true],
            [Look::TugOnward, count($plan->installation->cables) > count($plan->installation->wallCables())],
            [Look::Strands, true],
            [Look::Spares, $spares !== []],
            [Look::FanJumper, $archetype->fanInHeat !== FanInHeat::None],
        ];

        return array_map(
            static fn (array $row): Look => $row[0],
            array_values(array_filter($has, static fn (array $row): bool => $row[1])),
        );
    }

    /** @param  list<Look>  $looks */
    private static function step(Method $method, Hands $hands, array $looks, Waits $waits): Step
    {
        $cable = $method === Method::Cable;

        return new Step(
            call: CallName::Idle,
            method: $method,
            setUpIsolated: $cable,
            do: Message::of($cable ? 'proving.look-steps.cable' : 'proving.look-steps.looks'),
            closes: [],
            hot: '',
            wait: $waits->of(CallName::Idle, $method),
            hands: $hands,
            waiting: $hands,
            probes: [],
            signs: array_map(
                static fn (Look $l): Sign => new Sign($l->value, $l->label(), 'eye', null, optional: true),
                $looks,
            ),
            restore: $cable ? [Message::of('proving.supporting-steps.thermostat-cable-back-on-board')] : [],
        );
    }
}
