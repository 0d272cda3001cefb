<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/** What a setting entered otherwise would do, asked of the circuit call by call. */
final class CallConsequence
{
    public static function of(Plan $plan, SettingKey $key, string $choice): Message
    {
        $made = CallTable::made(
            $plan->profile,
            Derivation::callSettings($plan, [$key->value => $choice]),
            $plan->installation->archetype,
        );
        $sentences = [];
        foreach (CallTable::needed($plan->installation->archetype)->calls() as $call) {
            array_push($sentences, ...self::ofCall($plan, $made, $call));
        }

        return $sentences === [] ? Message::of('setting.calls.no-difference') : Message::sentences($sentences);
    }

    /** @return list<Message> what is wrong in a call: loads that come in beside those needed, and such as stay out */
    private static function ofCall(Plan $plan, CallTable $made, CallName $call): array
    {
        if (! $made->has($call)) {
            return [Message::of('setting.calls.never', call: $call->label())];
        }
        $archetype = $plan->installation->archetype;
        $wanted = $archetype->needs[$call->value] ?? [];
        $allowed = [...$wanted, ...$archetype->allows[$call->value] ?? []];
        $setup = Setup::calling(...$made->printed($call, $plan->profile))->inMode($call->mode());
        $point = $plan->circuit()->operate($setup);
        $sentences = [];
        foreach ($archetype->loads as $load) {
            $in = $point->loads[$load->id] === LoadState::PulledIn;
            if ($in && ! in_array($load->id, $allowed, true)) {
                $cold = $load->observable === Observable::Blower && $call->isHeating();
                $sentences[] = Message::of(
                    $cold ? 'setting.calls.blows-cold' : 'setting.calls.also',
                    call: $call->label(),
                    load: $load->label,
                );
            } elseif (! $in && in_array($load->id, $wanted, true)) {
                $sentences[] = Message::of('setting.calls.at-rest', call: $call->label(), load: $load->label);
            }
        }

        return $sentences;
    }
}
