<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Proving\Step\Probe;
use Unionbit\Core\Proving\Step\Sign;

/** One set-up with a fault in it: whether a reading or a sign would have come out otherwise than in a sound house. */
final readonly class Faulted
{
    /** @param  array<string, bool>  $seen  what is seen and heard with the fault */
    public function __construct(private OperatingPoint $point, private array $seen)
    {
    }

    /** Amperes and volts of a probe against what the sound house would give. */
    public function deviates(Probe $probe, Expectation $sound): bool
    {
        if ($sound->refused !== null) {
            return false;
        }
        $fits = static fn (float $value): bool => $sound->fits($value) ||
            array_any($sound->others, static fn (Expectation $e): bool => $e->fits($value));
        if ($probe->mode === MeterMode::Amps) {
            return ! $fits($this->amps($sound));
        }
        $volts = $this->volts($probe->a, $probe->b);
        if ($volts === null) {
            // A ghost, anything up to 20 V: certain only where none of it would pass.
            return ! $sound->floating && ($sound->low ?? 0.0) > Expectation::GHOST_VOLTS;
        }

        return ! $fits($volts);
    }

    /** @param  array<string, bool>  $sound  what is seen and heard in the sound house */
    public function differs(Sign $sign, array $sound): bool
    {
        return array_any(
            $sign->watched(),
            fn (string $name): bool => ($sound[$name] ?? false) !== ($this->seen[$name] ?? false),
        );
    }

    /** Amperes in the conductor that is clamped. */
    private function amps(Expectation $sound): float
    {
        $conductor = $this->point->netlist->points[$sound->a]->conductor ?? null;
        $element = $conductor === null ? null : $this->point->netlist->elements["{$conductor}.h1"] ?? null;

        return $element === null ? 0.0 : $this->point->phasors->amps($element);
    }

    /** Null where the two points float against each other. */
    private function volts(string $a, string $b): ?float
    {
        $known = $this->point->network->knows($a) && $this->point->network->knows($b);
        if (! $known) {
            return null;
        }
        $volts = $this->point->phasors->magnitude($a, $b);

        return $this->point->netlist->joins($a, $b) ? $volts : null;
    }
}
