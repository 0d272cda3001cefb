<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Plan;

/** What the installer would see if a setting were entered wrong: asked of the circuit, call by call. */
final class Consequence
{
    public static function of(Plan $plan, SettingKey $key, string $choice): string
    {
        if ($key === SettingKey::CompressorOff) {
            return self::offTime((int) $choice);
        }
        $needed = CallTable::needed($plan->installation->archetype);
        $made = CallTable::made($plan->profile, Derivation::callSettings($plan, [$key->value => $choice]), $plan->installation->archetype);
        $circuit = $plan->circuit();
        $sentences = [];
        foreach ($needed->calls() as $call) {
            $wanted = $plan->installation->archetype->needs[$call->value] ?? [];
            $allowed = [...$wanted, ...$plan->installation->archetype->allows[$call->value] ?? []];
            if (! $made->has($call)) {
                $sentences[] = "{$call->label()} can never be called.";

                continue;
            }
            $point = $circuit->operate(Setup::calling(...$made->printed($call, $plan->profile))->inMode($call->mode()));
            foreach ($plan->installation->loads() as $load) {
                $in = $point->loads[$load->id] === LoadState::PulledIn;
                if ($in && ! in_array($load->id, $allowed, true)) {
                    $sentences[] = "{$call->label()} also pulls in the {$load->label}".($load->observable === 'blower' && $call->isHeating() ? ': it blows cold until the burner has lit.' : '.');
                } elseif (! $in && in_array($load->id, $wanted, true)) {
                    $sentences[] = "{$call->label()} leaves the {$load->label} at rest.";
                }
            }
        }

        return $sentences === [] ? 'The circuit shows no difference on this house.' : implode(' ', $sentences);
    }

    private static function offTime(int $seconds): string
    {
        return $seconds < Derivation::COMPRESSOR_OFF_SECONDS
            ? sprintf('The compressor may start again after %g min, against unequal pressures: it can stall and trip.', $seconds / 60)
            : sprintf('Cooling waits %g min after each stop.', $seconds / 60);
    }
}
