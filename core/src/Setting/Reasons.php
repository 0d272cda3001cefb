<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Figures\BalancePoint;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\TerminalName;

/** Why a setting is what it is, in this house; and where the house's own sources disagree. */
final class Reasons
{
    public static function of(Plan $plan, SettingKey $key, string $value): string
    {
        $archetype = $plan->installation->archetype;

        return match ($key) {
            SettingKey::EquipmentType => match ($value) {
                'heat-only' => "{$archetype->title}: no cooling.",
                'cool-only' => "{$archetype->title}: no heat.",
                'heat-pump' => 'The outdoor unit reverses: a heat pump, with '.
                    ($archetype->heatPump?->auxiliaryStages === 0 ? 'no auxiliary heat.' : 'strip heat as auxiliary.'),
                'dual-fuel' => "The outdoor unit reverses and a {$archetype->heatSource} furnace is the second source: never both on the thermostat's account.",
                default => 'Heat on W and cooling on Y, and nothing at the outdoor unit reverses: conventional.',
            },
            SettingKey::HeatFuel => "The survey found {$value} heat indoors.",
            SettingKey::FanInHeat => match ($value) {
                'thermostat' => 'Electric heat or a hot-water coil: the fan must be called with the heat.',
                'none' => 'Radiators or a zone valve: no fan in heat at all.',
                default => ucfirst($archetype->heatSource).
                    ' heat: the furnace runs the blower itself, after the burner has lit.',
            },
            SettingKey::OutdoorStages => self::stages(
                $archetype->coolStages,
                (int) $value,
                'Y2',
                'compressor',
                Values::reaches($plan, TerminalName::Y2),
            ),
            SettingKey::Compressors => $plan->installation->answers->choice('compressors') === null
                ? 'Two stages, not looked at closer: one two-stage compressor is the usual; it is not two compressors.'
                : 'As the survey found it.',
            SettingKey::HeatStages => self::stages(
                $archetype->heatStages,
                (int) $value,
                'W2',
                'heat',
                Values::reaches($plan, TerminalName::W2),
            ),
            SettingKey::ReversingValve => "The outdoor unit has {$value}: its valve is energised in ".
                ($value === 'O' ? 'cooling' : 'heating').
                '. From the equipment, never from the colour; proved by the air on the first call.',
            SettingKey::AuxiliaryStages => $value === '0'
                ? 'There are no strips.'
                : self::stages(
                    (int) ($archetype->heatPump->auxiliaryStages ?? 0),
                    (int) $value,
                    'W2',
                    'strip',
                    Values::reaches($plan, TerminalName::W2),
                ),
            SettingKey::AuxiliaryWithCompressor => $value === 'yes'
                ? 'Strips sit after the indoor coil and may run with the compressor.'
                : 'A furnace heats the air before the indoor coil: together with the compressor the pressure climbs until it trips.',
            SettingKey::Emergency => match ($value) {
                'electric' => 'The strips alone, over '.(Values::reaches($plan, TerminalName::E) ? 'E' : 'Aux').'.',
                'furnace' => 'The furnace alone.',
                default => 'Nothing else heats this house.',
            },
            SettingKey::CompressorOff => isset($archetype->delays['outdoor-board'])
                ? 'The outdoor board holds a delay too; the thermostat\'s covers power losses at the wall.'
                : 'The outdoor unit has no board of its own with a delay: only the thermostat protects the compressor.',
            SettingKey::CompressorLockout => $value === 'off'
                ? 'Strips help below the balance point; the heat pump still gives more than one unit of heat for one of electricity.'
                : self::changeover($plan),
            SettingKey::AuxiliaryLockout => sprintf(
                'The heat pump carries the house down to %.0f °F (balance point); strips are locked out five degrees above.',
                BalancePoint::thermal(BalancePoint::valuesOf($plan)) ?? -40.0,
            ),
            SettingKey::Cycles => 'A working figure for '.
                ($archetype->system() === 'heat-pump' ? 'heat pumps' : "{$archetype->heatSource} heat").
                '; the maker\'s sheet wins.',
            SettingKey::PowerSource => match ($value) {
                'common' => $plan->landing->plugIn ? 'The plug-in transformer brings hot and C.' : 'R and C land.',
                'battery' => 'No C lands: it runs on batteries.',
                default => 'It charges through an idle load.',
            },
            SettingKey::RSource => $value === 'one'
                ? 'One transformer feeds heating and cooling.'
                : ($plan->landing->plugIn
                    ? 'The thermostat\'s own supply and the equipment\'s stay apart.'
                    : 'Two transformers: Rc for cooling, Rh for heating.'),
            SettingKey::Accessories => $value === 'no'
                ? 'No accessory conductor lands.'
                : 'On its own screws: '.implode(', ', Values::accessories($plan)).'.',
            SettingKey::Remote => $plan->profile->remoteControl === 'bridge'
                ? 'Through its bridge beside the router; with the customer.'
                : 'By its own radio; with the customer, after the proofs.',
        };
    }

    /**
     * Where two sources of this house disagree: both answers, kept open until somebody decides.
     *
     * @return list<array{value: string, source: string}> empty, or two or more
     */
    public static function disagreement(Plan $plan, SettingKey $key, string $value): array
    {
        $answers = $plan->installation->answers;
        $other = match (true) {
            $key === SettingKey::FanInHeat && $value === 'equipment' && $answers->is('fanJumper', 'electric') => [
                'thermostat',
                'the unit\'s own fan jumper stands on electric (SC16)',
            ],
            $key === SettingKey::FanInHeat && $value === 'thermostat' && $answers->is('fanJumper', 'gas') => [
                'equipment',
                'the unit\'s own fan jumper stands on gas (SC16)',
            ],
            $key === SettingKey::EquipmentType &&
                $plan->installation->archetype->reverses &&
                $answers->is('indoorPlate', 'cools') => ['conventional', 'the indoor plate says cooling only (SC18)'],
            $key === SettingKey::EquipmentType &&
                ! $plan->installation->archetype->reverses &&
                $answers->is('indoorPlate', 'reverses') => ['heat-pump', 'the indoor plate says heat pump (SC18)'],
            default => null,
        };

        return $other === null
            ? []
            : [
                ['value' => $value, 'source' => 'the equipment as surveyed'],
                ['value' => $other[0], 'source' => $other[1]],
            ];
    }

    private static function stages(int $has, int $set, string $screw, string $what, bool $reaches): string
    {
        return match (true) {
            $has <= 1 => "One {$what} stage.",
            $set >= 2 => "Two {$what} stages, and {$screw} reaches the second.",
            default => "Two {$what} stages, but ".
                ($reaches ? 'the thermostat drives one' : "{$screw} reaches nothing").
                ': the second is lost (MR09).',
        };
    }

    private static function changeover(Plan $plan): string
    {
        $values = BalancePoint::valuesOf($plan);
        [$thermal, $economic] = [BalancePoint::thermal($values), BalancePoint::economic($values)];

        return sprintf(
            'Balance point %.0f °F, gas cheaper below %.0f °F: the higher governs. Inputs under Figures.',
            $thermal ?? -40.0,
            $economic ?? -40.0,
        );
    }
}
