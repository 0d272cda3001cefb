<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallSettings;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Terminal\TerminalName;

/** Which screws a thermostat closes for a call: as it should, by a wrong setting, or none. */
final class Closes
{
    /** @return list<string> printed */
    public static function printed(Circuit $circuit, CallName $call, ?Fault $fault = null): array
    {
        $archetype = $circuit->installation->archetype;
        if ($fault === null || ($fault->settings === [] && ! $fault->noCalls)) {
            return CallTable::needed($archetype)->printed($call, $circuit->profile);
        }
        if ($fault->noCalls) {
            return [];
        }
        $right = new CallSettings(
            $archetype->heatPump === null ? 'conventional' : $archetype->system(),
            $archetype->fanInHeat,
            $archetype->heatPump->valve ?? 'O',
        );
        $made = CallTable::made($circuit->profile, self::wrong($right, $fault->settings), $archetype);
        $closes = $made->printed($call, $circuit->profile);

        return isset($fault->settings['stages'])
            ? self::without($circuit, $closes, TerminalName::Y2, TerminalName::W2)
            : $closes;
    }

    /**
     * @param  list<string>  $closes  printed
     * @return list<string> all but what is on screws of these names
     */
    public static function without(Circuit $circuit, array $closes, TerminalName ...$names): array
    {
        return array_values(
            array_filter(
                $closes,
                static fn (string $printed): bool => ! in_array(
                    $circuit->profile->terminal($printed)?->name,
                    $names,
                    true,
                ),
            ),
        );
    }

    /** @param  array<string, string>  $settings */
    private static function wrong(CallSettings $right, array $settings): CallSettings
    {
        return new CallSettings(
            $settings['equipment-type'] ?? $right->equipmentType,
            isset($settings['fan-in-heat']) ? $right->fanInHeat->turned() : $right->fanInHeat,
            isset($settings['reversing-valve']) ? ($right->valve === 'O' ? 'B' : 'O') : $right->valve,
        );
    }
}
