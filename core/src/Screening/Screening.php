<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\Equipment\Mr12DefrostHeatFound;
use Unionbit\Core\Screening\Rule\Equipment\Mr16SwitchNotPlaced;
use Unionbit\Core\Screening\Rule\Equipment\Mr16WaterGoesOn;
use Unionbit\Core\Screening\Rule\Equipment\Sc16FanJumper;
use Unionbit\Core\Screening\Rule\Equipment\Sc18Nameplates;
use Unionbit\Core\Screening\Rule\Equipment\Sc19Evidence;
use Unionbit\Core\Screening\Rule\Equipment\Sc20Between;
use Unionbit\Core\Screening\Rule\Equipment\Sc20OutdoorScrews;
use Unionbit\Core\Screening\Rule\Equipment\Sc22ClosedValve;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Screening\Rule\Supply\Sc03Supply;
use Unionbit\Core\Screening\Rule\Supply\Sc07TwoTransformers;
use Unionbit\Core\Screening\Rule\Supply\Sc14Fuse;
use Unionbit\Core\Screening\Rule\Supply\Sc15LinkState;
use Unionbit\Core\Screening\Rule\Supply\Sc17BlankDisplay;
use Unionbit\Core\Screening\Rule\SurveyReading;
use Unionbit\Core\Screening\Rule\System\Sc01LineVoltage;
use Unionbit\Core\Screening\Rule\System\Sc02Millivolt;
use Unionbit\Core\Screening\Rule\System\Sc04Communicating;
use Unionbit\Core\Screening\Rule\System\Sc05WaterFanCoil;
use Unionbit\Core\Screening\Rule\System\Sc06ThreeWireZoneValve;
use Unionbit\Core\Screening\Rule\System\Sc21NotServed;
use Unionbit\Core\Screening\Rule\Wires\Sc08WireKind;
use Unionbit\Core\Screening\Rule\Wires\Sc09CommonWithoutConductor;
use Unionbit\Core\Screening\Rule\Wires\Sc10ColourAgainstLetter;
use Unionbit\Core\Screening\Rule\Wires\Sc11PairingAssumed;
use Unionbit\Core\Screening\Rule\Wires\Sc12EndsDisagree;
use Unionbit\Core\Screening\Rule\Wires\Sc13AmbiguousLetter;

/** The screening rules in force. Adding a rule is adding a class and naming it here. */
final class Screening
{
    /** @return list<ScreeningRule> */
    public static function rules(): array
    {
        return [
            new Sc01LineVoltage(),
            new Sc02Millivolt(),
            new Sc03Supply(),
            new Sc04Communicating(),
            new Sc05WaterFanCoil(),
            new Sc06ThreeWireZoneValve(),
            new Sc07TwoTransformers(),
            new Sc08WireKind(),
            new Sc09CommonWithoutConductor(),
            new Sc10ColourAgainstLetter(),
            new Sc11PairingAssumed(),
            new Sc12EndsDisagree(),
            new Sc13AmbiguousLetter(),
            new Sc14Fuse(),
            new Sc15LinkState(),
            new Sc16FanJumper(),
            new Sc17BlankDisplay(),
            new Sc18Nameplates(),
            new Sc19Evidence(),
            new Mr12DefrostHeatFound(),
            new Mr16SwitchNotPlaced(),
            new Mr16WaterGoesOn(),
            new Sc20Between(),
            new Sc20OutdoorScrews(),
            new Sc21NotServed(),
            new Sc22ClosedValve(),
        ];
    }

    /**
     * @param  list<SurveyReading>  $readings
     * @return list<Finding>
     */
    public static function check(Installation $installation, array $readings): array
    {
        $findings = array_merge(
            ...array_map(
                static fn (ScreeningRule $rule): array => $rule->check($installation, $readings),
                self::rules(),
            ),
        );

        return array_map(
            static fn (Finding $f): Finding => $f->severity === Severity::Stop &&
            $f->overridable &&
            isset($installation->overrides[$f->code])
                ? $f->overridden($installation->overrides[$f->code])
                : $f,
            $findings,
        );
    }

    /**
     * @param  list<SurveyReading>  $readings
     * @return list<Finding> what stops the work
     */
    public static function stops(Installation $installation, array $readings): array
    {
        return array_values(
            array_filter(
                self::check($installation, $readings),
                static fn (Finding $f): bool => $f->severity === Severity::Stop,
            ),
        );
    }
}
