<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallSettings;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Terminal\TerminalName;

/** The set-up of a call as a house with a fault makes it: its edits, its wrong settings, or no call at all. */
final class FaultedCall
{
    public static function setup(Circuit $circuit, CallName $call, ?Fault $fault = null): Setup
    {
        $archetype = $circuit->installation->archetype;
        $right = new CallSettings(
            $archetype->heatPump === null ? 'conventional' : $archetype->system(),
            $archetype->fanInHeat,
            $archetype->heatPump->valve ?? 'O',
        );
        $table =
            $fault === null || $fault->settings === []
                ? CallTable::needed($archetype)
                : CallTable::made($circuit->profile, self::wrong($right, $fault->settings), $archetype);
        $closes = $fault?->noCalls === true ? [] : $table->printed($call, $circuit->profile);
        if (isset($fault->settings['stages'])) {
            $closes = array_values(
                array_filter(
                    $closes,
                    static fn (string $printed): bool => ! in_array(
                        $circuit->profile->terminal($printed)?->name,
                        [TerminalName::Y2, TerminalName::W2],
                        true,
                    ),
                ),
            );
        }
        $setup = Setup::calling(...$closes)->inMode($call->mode());

        return $fault === null ? $setup : $setup->with(...$fault->edits);
    }

    /** @param  array<string, string>  $settings */
    private static function wrong(CallSettings $right, array $settings): CallSettings
    {
        return new CallSettings(
            $settings['equipment-type'] ?? $right->equipmentType,
            isset($settings['fan-in-heat'])
                ? ($right->fanInHeat === 'thermostat'
                    ? 'equipment'
                    : 'thermostat')
                : $right->fanInHeat,
            isset($settings['reversing-valve']) ? ($right->valve === 'O' ? 'B' : 'O') : $right->valve,
        );
    }
}
