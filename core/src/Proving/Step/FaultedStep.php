<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultedCall;

/** The set-up of a step in a house with a fault: a call that the thermostat makes may itself be wrong there. */
final class FaultedStep
{
    public static function setup(Circuit $circuit, Step $step, Fault $fault): Setup
    {
        return self::byThermostat($step)
            ? FaultedCall::setup($circuit, $step->call, $fault)
            : $step->setup->with(...$fault->edits);
    }

    /** Whether the thermostat itself makes the call, or none, and nothing else is set up. */
    public static function byThermostat(Step $step): bool
    {
        return $step->method === Method::Voltage || $step->method === Method::AtRest;
    }
}
