<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

use Unionbit\Core\Finding;
use Unionbit\Core\Severity;

/** The mapping rules in force. Adding a rule is adding a class and naming it here. */
final class MappingRules
{
    /** @return list<MappingRule> */
    public static function rules(): array
    {
        return [
            new Mr01EquipmentEndDefines(),
            new Mr02OneTransformer(),
            new Mr03TwoTransformers(),
            new Mr04CommonOnCommon(),
            new Mr05ConventionalOnHeatPumpPlate(),
            new Mr06HeatPump(),
            new Mr07EmergencyHeat(),
            new Mr08SignalsCapped(),
            new Mr09SecondStage(),
            new Mr10ColourKept(),
            new Mr11OutdoorPolarity(),
            new Mr12DefrostConductor(),
            new Mr13OnePerScrew(),
            new Mr14SparesCapped(),
            new Mr15StripLength(),
            new Mr16SafetyStays(),
            new Mr17Accessories(),
            new Mr18KNeedsAdapter(),
            new Mr19CommunicatingConversion(),
            new Mr20OutputsAtTheEquipment(),
        ];
    }

    /** @return list<Finding> gravest first */
    public static function check(Plan $plan): array
    {
        $findings = array_merge(
            ...array_map(static fn (MappingRule $rule): array => $rule->check($plan), self::rules()),
        );
        $order = array_flip(array_map(static fn (Severity $severity): string => $severity->value, Severity::cases()));
        usort(
            $findings,
            static fn (Finding $a, Finding $b): int => $order[$a->severity->value] <=> $order[$b->severity->value],
        );

        return $findings;
    }
}
