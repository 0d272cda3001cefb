<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Figures\BalancePoint;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\Simulation;

/** What the installer would see if a setting were entered wrong: asked of the circuit, call by call, or of the figures. */
final class Consequence
{
    public static function of(Plan $plan, SettingKey $key, string $choice): string
    {
        return match (true) {
            $key->decidesCalls() => self::calls($plan, $key, $choice),
            $key === SettingKey::RSource => self::link($plan, $choice === 'one'),
            $key === SettingKey::CompressorOff => self::offTime((int) $choice),
            $key === SettingKey::CompressorLockout, $key === SettingKey::AuxiliaryLockout => self::lockout(
                $plan,
                $key,
                $choice,
            ),
            $key === SettingKey::Compressors => $choice === 'two'
                ? 'It would run the second stage alone, as a compressor of its own: nothing runs then, and the stages wear unevenly.'
                : 'The second compressor is never run by itself: one of the two wears out first.',
            $key === SettingKey::Emergency => 'In emergency heat it asks for what is not there, or never offers it: no heat when the heat pump is down.',
            $key === SettingKey::Cycles => (int) $choice > (int) (Values::of($plan, $key) ?? '0')
                ? 'More starts an hour: short cycling.'
                : 'Fewer starts an hour: the room swings more.',
            $key === SettingKey::PowerSource => 'It warns of a power loss that is none, or does not warn of one that is.',
            $key === SettingKey::Accessories => 'An accessory is driven that is not there, or is left alone.',
            default => 'It cannot be set from a telephone.',
        };
    }

    private static function calls(Plan $plan, SettingKey $key, string $choice): string
    {
        $needed = CallTable::needed($plan->installation->archetype);
        $made = CallTable::made(
            $plan->profile,
            Derivation::callSettings($plan, [$key->value => $choice]),
            $plan->installation->archetype,
        );
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
            foreach ($plan->installation->archetype->loads as $load) {
                $in = $point->loads[$load->id] === LoadState::PulledIn;
                if ($in && ! in_array($load->id, $allowed, true)) {
                    $sentences[] =
                        "{$call->label()} also pulls in the {$load->label}".
                        ($load->observable === 'blower' && $call->isHeating()
                            ? ': it blows cold until the burner has lit.'
                            : '.');
                } elseif (! $in && in_array($load->id, $wanted, true)) {
                    $sentences[] = "{$call->label()} leaves the {$load->label} at rest.";
                }
            }
        }

        return $sentences === [] ? 'The circuit shows no difference on this house.' : implode(' ', $sentences);
    }

    private static function link(Plan $plan, bool $in): string
    {
        $problems = array_merge(
            ...array_map(
                static fn (CallProof $p): array => $p->problems,
                Simulation::prove($plan->landed($plan->landing->withLink($in))),
            ),
        );

        return $problems === []
            ? 'The circuit shows no difference on this house.'
            : implode(' ', array_slice(array_values(array_unique($problems)), 0, 3));
    }

    private static function offTime(int $seconds): string
    {
        return $seconds < Derivation::COMPRESSOR_OFF_SECONDS
            ? sprintf(
                'The compressor may start again after %g min, against unequal pressures: it can stall and trip.',
                $seconds / 60,
            )
            : sprintf('Cooling waits %g min after each stop.', $seconds / 60);
    }

    private static function lockout(Plan $plan, SettingKey $key, string $choice): string
    {
        $v = BalancePoint::valuesOf($plan);
        if ($choice === 'off') {
            return $key === SettingKey::CompressorLockout
                ? 'The compressor runs at any outdoor temperature, below the balance point too: the house gets cold, and the furnace waits.'
                : 'Strips may join at any outdoor temperature, also where the heat pump carries the house: it costs.';
        }
        $t = (float) $choice;
        $load = max(0.0, ($v['heatLoss'] * (BalancePoint::NO_HEAT - $t)) / (BalancePoint::NO_HEAT - $v['designTemp']));
        $capacity = $v['capacity17'] + (($v['capacity47'] - $v['capacity17']) * ($t - 17.0)) / 30.0;
        $share = $load > 0.0 ? min(100.0, (100.0 * $capacity) / $load) : 100.0;
        $low = $t < (float) (Values::of($plan, $key) ?? $t);

        return sprintf('At %g °F the heat pump gives %.0f %% of what the house needs: ', $t, $share).
            match (true) {
                $key === SettingKey::AuxiliaryLockout => $low
                    ? 'strips are kept off where they are needed, and recovery is slow.'
                    : 'strips join where they need not: it costs.',
                default => $low
                    ? 'it would run alone where it cannot carry the house.'
                    : 'it is kept off where it could still do the work.',
            };
    }
}
