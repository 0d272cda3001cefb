<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Show\Duties;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Doing;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Tracing\Suspect\SuspectList;

/** What a repair reopens: exactly the proofs whose result the repaired part can touch. */
final readonly class Reopened
{
    public function __construct(private SuspectList $list, private Duties $wanted, private AskedHouse $house)
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
        $hands = Hands::calling($call);
        $sound = $this->house->state($hands);
        $other = $this->house->with($fault)->state($hands);

        return $sound->seen !== $other->seen || ! $sound->carriesTheSame($other);
    }
}
