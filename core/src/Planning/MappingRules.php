<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Rule\Call\Mr05ConventionalOnHeatPumpPlate;
use Unionbit\Core\Planning\Rule\Call\Mr06HeatPump;
use Unionbit\Core\Planning\Rule\Call\Mr07EmergencyHeat;
use Unionbit\Core\Planning\Rule\Call\Mr09SecondStage;
use Unionbit\Core\Planning\Rule\Call\Mr12DefrostConductor;
use Unionbit\Core\Planning\Rule\Call\Mr18KNeedsAdapter;
use Unionbit\Core\Planning\Rule\Call\Mr19CommunicatingConversion;
use Unionbit\Core\Planning\Rule\Call\Mr20OutputsAtTheEquipment;
use Unionbit\Core\Planning\Rule\Landing\Mr01EquipmentEndDefines;
use Unionbit\Core\Planning\Rule\Landing\Mr08SignalsCapped;
use Unionbit\Core\Planning\Rule\Landing\Mr10ColourKept;
use Unionbit\Core\Planning\Rule\Landing\Mr13OnePerScrew;
use Unionbit\Core\Planning\Rule\Landing\Mr14SparesCapped;
use Unionbit\Core\Planning\Rule\Landing\Mr15StripLength;
use Unionbit\Core\Planning\Rule\Landing\Mr17Accessories;
use Unionbit\Core\Planning\Rule\Landing\Mr21Damage;
use Unionbit\Core\Planning\Rule\Landing\Mr25FoundTies;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Planning\Rule\Supply\Mr02OneTransformer;
use Unionbit\Core\Planning\Rule\Supply\Mr03TwoTransformers;
use Unionbit\Core\Planning\Rule\Supply\Mr04CommonOnCommon;
use Unionbit\Core\Planning\Rule\Supply\Mr11OutdoorPolarity;
use Unionbit\Core\Planning\Rule\Supply\Mr16SafetyStays;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;

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
            new Mr21Damage(),
            new Mr25FoundTies(),
        ];
    }

    /** @return list<Finding> gravest first */
    public static function check(Plan $plan): array
    {
        $findings = array_merge(
            ...array_map(static fn (MappingRule $rule): array => $rule->check($plan), self::rules()),
        );
        $order = array_flip(
            array_map(static fn (Severity $severity): string => $severity->value, Severity::cases()),
        );
        usort(
            $findings,
            static fn (Finding $a, Finding $b): int => $order[$a->severity->value] <=> $order[$b->severity->value],
        );

        return $findings;
    }
}
