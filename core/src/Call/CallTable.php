<?php

declare(strict_types=1);

namespace Unionbit\Core\Call;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Dehumidify;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\Profile;

/**
 * Which terminals each call closes to hot, by the tables of the trade: conventional, heat pump (O and B), dual
 * fuel. As the equipment needs it, and as a thermostat with its settings makes it. The names are the call's
 * meaning; {@see Profile::serving()} maps them to the letters printed on a plate.
 */
final readonly class CallTable
{
    /** @param  array<string, list<TerminalName>>  $rows terminals by call value */
    private function __construct(private array $rows)
    {
    }

    /** What the equipment needs for each of its calls. */
    public static function needed(Archetype $archetype): self
    {
        $pump = $archetype->heatPump;
        if ($pump === null) {
            return (new self(
                self::conventional(
                    $archetype->heatStages,
                    $archetype->coolStages,
                    $archetype->fanInHeat === FanInHeat::Thermostat,
                    self::hasFan($archetype),
                ),
            ))->withHumidity($archetype->humidifies(), $archetype->dehumidify);
        }
        $rows =
            $archetype->system() === 'dual-fuel'
                ? self::dualFuel($archetype->coolStages, $archetype->heatStages, $pump->valve)
                : self::heatPump($archetype->coolStages, $pump->auxiliaryStages, $pump->valve, true);

        return (new self($rows))->withHumidity($archetype->humidifies(), $archetype->dehumidify);
    }

    /** What this thermostat closes, with these settings, on equipment of these stages. */
    public static function made(Profile $profile, CallSettings $settings, ?Archetype $archetype = null): self
    {
        $type = $settings->equipmentType;
        $cool = min(
            $profile->coolStages,
            $archetype->coolStages ?? $profile->coolStages,
            $settings->outdoorStages ?? $profile->coolStages,
        );
        $heat = min($profile->heatStages, 2, $archetype->heatStages ?? 2, $settings->heatStages ?? 2);
        $rows = match (true) {
            $type === 'heat-pump' && $profile->heatPump => self::heatPump(
                $cool,
                min(self::auxiliaryStages($profile, $archetype), $settings->auxiliaryStages ?? 2),
                $settings->valve,
                $settings->fanInHeat === FanInHeat::Thermostat,
            ),
            $type === 'dual-fuel' && $profile->heatPump => self::dualFuel(
                $cool,
                max(1, min(2, $archetype->heatStages ?? 1, $settings->heatStages ?? 2)),
                $settings->valve,
            ),
            default => self::conventional(
                $type === 'cool-only' ? 0 : $heat,
                $type === 'heat-only' ? 0 : $cool,
                $settings->fanInHeat === FanInHeat::Thermostat,
                $profile->named(TerminalName::G) !== null && ($archetype === null || self::hasFan($archetype)),
            ),
        };

        $humidity = (new self(self::backup($rows, $type, $settings->auxiliaryWithCompressor)))->withHumidity(
            $archetype?->humidifies(),
            $settings->dehumidify ?? ($archetype->dehumidify ?? Dehumidify::None),
        );

        return new self(
            array_map(
                static fn (array $closed): array => array_values(
                    array_filter(
                        self::onPlate($closed, $profile),
                        static fn (TerminalName $name): bool => $profile->serving($name) !== null,
                    ),
                ),
                $humidity->rows,
            ),
        );
    }

    /**
     * Backup heat that joins the compressor where it should take its place, or the other way round.
     *
     * @param  array<string, list<TerminalName>>  $rows
     * @return array<string, list<TerminalName>>
     */
    private static function backup(array $rows, string $type, ?bool $withCompressor): array
    {
        $compressor = $rows[CallName::Heat1->value] ?? [];
        foreach ($rows as $call => $closed) {
            if ($type === 'dual-fuel' && $withCompressor === true && CallName::from($call)->isFurnace()) {
                $rows[$call] = [...$compressor, ...$closed];
            }
            if ($type === 'heat-pump' && $withCompressor === false && CallName::from($call)->isAuxiliary()) {
                $rows[$call] = array_values(
                    array_filter(
                        $closed,
                        static fn (TerminalName $n): bool => ! in_array(
                            $n,
                            [TerminalName::Y1, TerminalName::Y2],
                            true,
                        ),
                    ),
                );
            }
        }

        return $rows;
    }

    /**
     * With the calls for humidity: a humidifier waters while air moves, a dehumidifying call cools with less air. Where
     * the board takes its signal as "all is normal", every other call and the rest hold it (handbook 2).
     */
    private function withHumidity(?TerminalName $humidifies, Dehumidify $dehumidify): self
    {
        $defrost = array_intersect_key($this->rows, [CallName::Defrost->value => []]);
        $rows = array_diff_key($this->rows, $defrost);
        $cools = $rows[CallName::Cool1->value] ?? null;
        if ($humidifies !== null) {
            $air = $rows[CallName::Fan->value] ?? ($rows[CallName::Heat1->value] ?? []);
            $rows[CallName::Humidify->value] = [$humidifies, ...$air];
        }
        if ($cools === null || $dehumidify === Dehumidify::None) {
            return new self([...$rows, ...$defrost]);
        }
        if ($dehumidify === Dehumidify::Opens) {
            $rows = self::holding($rows);
            $defrost = self::holding($defrost);
        }
        $rows[CallName::Dehumidify->value] =
            $dehumidify === Dehumidify::Opens ? $cools : [...$cools, TerminalName::Deh];

        return new self([...$rows, ...$defrost]);
    }

    /**
     * @param  array<string, list<TerminalName>>  $rows
     * @return array<string, list<TerminalName>> with the signal to dehumidify closed in each
     */
    private static function holding(array $rows): array
    {
        foreach ($rows as $call => $closed) {
            $rows[$call] = [...$closed, TerminalName::Deh];
        }

        return $rows;
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

    /**
     * What stays closed at rest after a call: a profile may leave the valve where it was, and holds what says that all
     * is normal.
     *
     * @return list<string> printed plate terminals
     */
    public function idleAfter(CallName $last, Profile $profile): array
    {
        $valve = array_map(static fn (TerminalName $name): ?string => $profile->serving($name)?->printed, [
            TerminalName::O,
            TerminalName::B,
        ]);
        $held = $profile->idleValve === 'last' ? array_intersect($this->printed($last, $profile), $valve) : [];

        return array_values(array_unique([...$held, ...$this->printed(CallName::Idle, $profile)]));
    }

    /** @return list<string> the printed plate terminals that the call closes */
    public function printed(CallName $call, Profile $profile): array
    {
        $closes = self::onPlate($this->closes($call), $profile);
        // A plate with the shared screw of a kit signals compressor and fan on it as well as on their own screws
        // (WO04).
        $shared =
            array_intersect(
                ['Y1', 'G'],
                array_map(static fn (TerminalName $name): string => $name->value, $closes),
            ) === []
                ? []
                : [TerminalName::K];
        $screws = array_filter(
            array_map(static fn (TerminalName $name): ?PlateTerminal => $profile->serving($name), [
                ...$closes,
                ...$shared,
            ]),
        );

        return array_values(array_unique(array_map(static fn (PlateTerminal $t): string => $t->printed, $screws)));
    }

    /**
     * Emergency heat is called on E where the plate has a screw for it, else on Aux.
     *
     * @param  list<TerminalName>  $closes
     * @return list<TerminalName>
     */
    private static function onPlate(array $closes, Profile $profile): array
    {
        return $profile->named(TerminalName::E) !== null
            ? $closes
            : array_map(
                static fn (TerminalName $name): TerminalName => $name === TerminalName::E
                    ? TerminalName::Aux
                    : $name,
                $closes,
            );
    }

    private static function hasFan(Archetype $archetype): bool
    {
        return $archetype->boardTerminal(TerminalName::G) !== null;
    }

    private static function auxiliaryStages(Profile $profile, ?Archetype $archetype): int
    {
        $drives =
            $profile->named(TerminalName::Aux) !== null && $profile->named(TerminalName::W2) !== null
                ? 2
                : ($profile->serving(TerminalName::Aux) === null
                    ? 0
                    : 1);

        // Set to a heat pump on anything else, it drives what it can, whatever is behind its screws.
        return match (true) {
            $archetype === null => $drives,
            $archetype->system() === 'heat-pump' => min($drives, $archetype->heatPump->auxiliaryStages ?? 0),
            default => min($drives, max(1, $archetype->heatStages)),
        };
    }

    /** @return array<string, list<TerminalName>> */
    private static function conventional(int $heatStages, int $coolStages, bool $fanWithHeat, bool $hasFan): array
    {
        $g = $hasFan ? [TerminalName::G] : [];
        $rows = [CallName::Idle->value => []];
        if ($hasFan) {
            $rows[CallName::Fan->value] = $g;
        }
        if ($coolStages >= 1) {
            $rows[CallName::Cool1->value] = [TerminalName::Y1, ...$g];
        }
        if ($coolStages >= 2) {
            $rows[CallName::Cool2->value] = [TerminalName::Y1, TerminalName::Y2, ...$g];
        }
        $fan = $fanWithHeat ? $g : [];
        if ($heatStages >= 1) {
            $rows[CallName::Heat1->value] = [TerminalName::W1, ...$fan];
        }
        if ($heatStages >= 2) {
            $rows[CallName::Heat2->value] = [TerminalName::W1, TerminalName::W2, ...$fan];
        }

        return $rows;
    }

    /** @return array<string, list<TerminalName>> */
    private static function heatPump(int $stages, int $auxiliary, string $valve, bool $fanWithHeat): array
    {
        $rows = self::compressor($stages, $valve);
        $heat = end($rows) ?: [];
        if ($auxiliary >= 1) {
            $rows[CallName::Aux1->value] = [...$heat, TerminalName::Aux];
        }
        if ($auxiliary >= 2) {
            $rows[CallName::Aux2->value] = [...$heat, TerminalName::Aux, TerminalName::W2];
        }
        if ($auxiliary >= 1) {
            // With the compressor the fan is called anyway; in emergency heat it follows the fan setting.
            $rows[CallName::Emergency->value] = [TerminalName::E, ...$fanWithHeat ? [TerminalName::G] : []];
        }
        $rows[CallName::Defrost->value] = $rows[CallName::Heat1->value];

        return $rows;
    }

    /** @return array<string, list<TerminalName>> */
    private static function dualFuel(int $stages, int $furnaceStages, string $valve): array
    {
        $rows = self::compressor($stages, $valve);
        $rows[CallName::Furnace1->value] = [TerminalName::Aux];
        if ($furnaceStages >= 2) {
            $rows[CallName::Furnace2->value] = [TerminalName::Aux, TerminalName::W2];
        }
        $rows[CallName::Defrost->value] = $rows[CallName::Heat1->value];

        return $rows;
    }

    /** @return array<string, list<TerminalName>> fan, cooling and heating by the compressor */
    private static function compressor(int $stages, string $valve): array
    {
        $cooling = $valve === 'O' ? [TerminalName::O] : [];
        $heating = $valve === 'B' ? [TerminalName::B] : [];
        $rows = [
            CallName::Idle->value => [],
            CallName::Fan->value => [TerminalName::G],
            CallName::Cool1->value => [TerminalName::Y1, TerminalName::G, ...$cooling],
        ];
        if ($stages >= 2) {
            $rows[CallName::Cool2->value] = [TerminalName::Y1, TerminalName::Y2, TerminalName::G, ...$cooling];
        }
        $rows[CallName::Heat1->value] = [TerminalName::Y1, TerminalName::G, ...$heating];
        if ($stages >= 2) {
            $rows[CallName::Heat2->value] = [TerminalName::Y1, TerminalName::Y2, TerminalName::G, ...$heating];
        }

        return $rows;
    }
}
