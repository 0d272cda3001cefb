<?php

declare(strict_types=1);

namespace Unionbit\Core\Call;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\Profile;

/** Which terminals each call closes to hot: as the equipment needs it, and as a thermostat with its settings makes it. */
final readonly class CallTable
{
    /** @param  array<string, list<TerminalName>>  $rows terminals by call value */
    private function __construct(private array $rows)
    {
    }

    /** What the equipment needs for each of its calls (conventional tables of the trade). */
    public static function needed(Archetype $archetype): self
    {
        $fanWithHeat = $archetype->fanInHeat === 'thermostat';

        return new self(self::rows($archetype->heatStages, $archetype->coolStages, $fanWithHeat));
    }

    /** What this thermostat closes, with these settings. */
    public static function made(Profile $profile, CallSettings $settings): self
    {
        $type = $settings->equipmentType;
        $heat = $type === 'cool-only' ? 0 : $profile->heatStages;
        $cool = $type === 'heat-only' ? 0 : $profile->coolStages;
        $rows = self::rows($heat, $cool, $settings->fanInHeat === 'thermostat');

        return new self(array_map(
            static fn (array $closed): array => array_values(array_filter($closed, static fn (TerminalName $name): bool => $profile->named($name) !== null)),
            $rows,
        ));
    }

    /** @return list<CallName> in the order in which they are proved */
    public function calls(): array
    {
        return array_map(CallName::from(...), array_map(strval(...), array_keys($this->rows)));
    }

    public function has(CallName $call): bool
    {
        return isset($this->rows[$call->value]);
    }

    /** @return list<TerminalName> */
    public function closes(CallName $call): array
    {
        return $this->rows[$call->value] ?? [];
    }

    /** @return list<string> the printed plate terminals that the call closes */
    public function printed(CallName $call, Profile $profile): array
    {
        $printed = array_map(static fn (TerminalName $name): ?PlateTerminal => $profile->named($name), $this->closes($call));

        return array_values(array_map(static fn (PlateTerminal $t): string => $t->printed, array_filter($printed)));
    }

    /** @return array<string, list<TerminalName>> */
    private static function rows(int $heatStages, int $coolStages, bool $fanWithHeat): array
    {
        $rows = [CallName::Idle->value => [], CallName::Fan->value => [TerminalName::G]];
        if ($coolStages >= 1) {
            $rows[CallName::Cool1->value] = [TerminalName::Y1, TerminalName::G];
        }
        if ($coolStages >= 2) {
            $rows[CallName::Cool2->value] = [TerminalName::Y1, TerminalName::Y2, TerminalName::G];
        }
        $fan = $fanWithHeat ? [TerminalName::G] : [];
        if ($heatStages >= 1) {
            $rows[CallName::Heat1->value] = [TerminalName::W1, ...$fan];
        }
        if ($heatStages >= 2) {
            $rows[CallName::Heat2->value] = [TerminalName::W1, TerminalName::W2, ...$fan];
        }

        return $rows;
    }
}
