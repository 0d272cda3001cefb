<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Fault\Doing;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Tracing\Suspect\SuspectList;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\World\Wanted;
use Unionbit\Core\Tracing\World\World;

/** What a repair reopens: exactly the proofs whose result the repaired part can touch. */
final readonly class Reopened
{
    /** Amperes that part two states of a call. */
    private const NOTHING = 0.001;

    public function __construct(private SuspectList $list, private Wanted $wanted, private World $world)
    {
    }

    /**
     * The calls whose proof a repair voids: those in which what it ends would have changed any current or any sign, or
     * in which the part that it touches carries any.
     *
     * @return list<CallName>
     */
    public function by(string $repair): array
    {
        $known = $this->list->repairs[$repair] ?? null;
        $faults = $known->ends ?? [];
        $calls = $this->wanted->calls();
        if ($faults === [] || $known?->does === Doing::Thermostat) {
            return $calls;
        }

        return array_values(
            array_filter(
                $calls,
                fn (CallName $c): bool => array_any($faults, fn (Fault $f): bool => $this->touches($f, $c)),
            ),
        );
    }

    private function touches(Fault $fault, CallName $call): bool
    {
        $sound = $this->world->solve(TestSetup::calling($call), null, []);
        $other = $this->world->solve(TestSetup::calling($call), $fault, []);
        if ($sound->seen !== $other->seen || $sound->point === null || $other->point === null) {
            return true;
        }

        return array_any(
            $sound->netlist->elements,
            static fn (Element $e): bool => self::differ($sound->point, $other->point, $e),
        );
    }

    private static function differ(OperatingPoint $one, OperatingPoint $other, Element $element): bool
    {
        $same = $other->netlist->elements[$element->id] ?? null;
        $amps = $same === null ? 0.0 : $other->phasors->amps($same);

        return abs($amps - $one->phasors->amps($element)) > self::NOTHING;
    }
}
