<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultedCall;

/** The set-up of a step in a house with a fault: a call that the thermostat makes may itself be wrong there. */
final class FaultedStep
{
    public static function setup(Circuit $circuit, Step $step, ?Fault $fault): Setup
    {
        return self::byThermostat($step)
            ? FaultedCall::setup($circuit, $step->call, $fault)
            : $step->setup->with(...$fault->edits ?? []);
    }

    /**
     * The house when the call has ended: what was in may be held in.
     *
     * @param  list<string>  $in  loads that were in
     */
    public static function afterwards(
        Circuit $circuit,
        array $in,
        ?Fault $fault,
        CircuitEdit ...$more,
    ): OperatingPoint {
        $rest = FaultedCall::setup($circuit, CallName::Idle, $fault)->with(...$more);

        return $circuit->operateFrom($rest, $in);
    }

    /** Whether the thermostat itself makes the call, or none, and nothing else is set up. */
    public static function byThermostat(Step $step): bool
    {
        return $step->method === Method::Voltage || $step->method === Method::AtRest;
    }
}
