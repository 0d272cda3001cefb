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
            return ! $fits($this->point->clamped($sound->a));
        }
        $volts = $this->point->between($probe->a, $probe->b);
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
}
