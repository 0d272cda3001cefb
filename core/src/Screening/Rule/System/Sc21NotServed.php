<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/**
 * SC21 (ours): what a 24 V thermostat serves only in part or not at all, and what may still be used here: ductless
 * units, heat on line voltage, three phases, a contactor that leaves a leg live.
 */
final readonly class Sc21NotServed implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $answers = $installation->answers;
        $findings = [];
        if ($answers->is('outdoor', 'ductless')) {
            $findings[] = self::finding('ductless', Severity::Stop);
        }
        if ($answers->is('heatSource', 'line')) {
            $cools = $answers->is('outdoor', 'cools', 'reverses');
            $findings[] = $cools
                ? self::finding('line-heat-beside', Severity::Warning)
                : self::finding('line-heat', Severity::Stop);
        }
        if ($answers->is('phases', 'three')) {
            $findings[] = self::finding('three-phase', Severity::Note);
        }
        if ($answers->is('legs', 'one')) {
            $findings[] = self::finding('leg-live', Severity::Note);
        }

        return $findings;
    }

    private static function finding(string $what, Severity $severity): Finding
    {
        return Finding::of(
            'SC21',
            $severity,
            Message::of('screening.sc21.title', what: $what),
            Message::of('screening.sc21.meaning', what: $what),
            Message::of('screening.sc21.action', what: $what),
        );
    }
}
