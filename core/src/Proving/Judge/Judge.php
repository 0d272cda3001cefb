<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;

/** Judges a reading against what the circuit of the job expects, and says why from the circuit. */
final readonly class Judge
{
    private const GHOST_VOLTS = 20.0;

    /** Below this many volts AC an isolated circuit is dead: what a meter shows there is pick-up. */
    public const DEAD_BELOW = 1.0;

    /** Two set-ups differ at a pair of points if their readings are further apart: volts or ohms, and amperes. */
    private const WAITS_ABOVE = 1.0;

    private const AMPS_WAIT_ABOVE = 0.05;

    public function __construct(private Circuit $circuit)
    {
    }

    /**
     * @param  ?float  $value  in the mode's unit; null means over-limit
     * @param  int  $secondsLeft  of a delay that is still running, 0 when it is over
     * @param  ?Setup  $waiting  the set-up while that delay runs; null where every point is taken to wait
     * @param  list<TakenReading>  $others  what else was read in the same set-up
     */
    public function reading(
        Expectation $expected,
        Setup $setup,
        ?float $value,
        int $secondsLeft = 0,
        ?Setup $waiting = null,
        array $others = [],
    ): Verdict {
        if ($expected->refused !== null) {
            return new Verdict(Outcome::Neutral, $expected->refused);
        }
        if (! $setup->power && $expected->mode === MeterMode::Volts && $value !== null) {
            return self::dead($value);
        }
        if ($expected->overLimit) {
            return $value === null
                ? new Verdict(Outcome::Pass, $expected->reason)
                : $this->named(
                    $expected,
                    $setup,
                    $value,
                    sprintf('%s Ω where nothing should connect: something is still joined.', self::number($value)),
                    $others,
                );
        }
        if ($value === null) {
            return $this->named(
                $expected,
                $setup,
                null,
                'Over-limit, where a path is expected: '.lcfirst($expected->reason),
                $others,
            );
        }
        if ($expected->floating) {
            return $value <= self::GHOST_VOLTS
                ? new Verdict(Outcome::Neutral, $expected->reason)
                : new Verdict(
                    Outcome::Fail,
                    sprintf(
                        '%s V on a point that should float: it is fed from somewhere. %s',
                        self::number($value),
                        $expected->reason,
                    ),
                );
        }
        if ($expected->contains($value)) {
            return new Verdict(Outcome::Pass, $expected->reason);
        }
        if ($secondsLeft > 0 && $this->waits($expected, $waiting)) {
            return new Verdict(
                Outcome::TooEarly,
                sprintf(
                    'A delay is still running, %d:%02d to go: too early to judge.',
                    intdiv($secondsLeft, 60),
                    $secondsLeft % 60,
                ),
            );
        }

        return $this->fail($expected, $setup, $value, $others);
    }

    /** Power off and proved dead: a fraction of a volt is pick-up and says nothing of fuse or winding; more is a source. */
    private static function dead(float $value): Verdict
    {
        return $value < self::DEAD_BELOW
            ? new Verdict(Outcome::Pass, 'The power is off: dead. A fraction of a volt is pick-up.')
            : new Verdict(
                Outcome::Fail,
                sprintf(
                    '%s V with the power off: something still feeds this. A second supply, or a circuit fed backwards. Hands out, and prove dead again.',
                    self::number($value),
                ),
            );
    }

    /** Whether these points show something else while the delay runs: what the thermostat closes at once does not wait. */
    private function waits(Expectation $expected, ?Setup $waiting): bool
    {
        if ($waiting === null) {
            return true;
        }
        $now = (new Meter($this->circuit))->read($expected->mode, $waiting, $expected->a, $expected->b);

        return $now->floating !== $expected->floating ||
            $now->overLimit !== $expected->overLimit ||
            abs(($now->nominal ?? 0.0) - ($expected->nominal ?? 0.0)) >
                ($expected->mode === MeterMode::Amps ? self::AMPS_WAIT_ABOVE : self::WAITS_ABOVE);
    }

    /** @param  list<TakenReading>  $others */
    private function fail(Expectation $expected, Setup $setup, float $value, array $others): Verdict
    {
        $unit = $expected->mode->unit();
        $start = sprintf(
            '%s %s where %s–%s %s is expected.',
            self::number($value),
            $unit,
            self::number((float) $expected->low),
            self::number((float) $expected->high),
            $unit,
        );

        return $expected->mode === MeterMode::Amps
            ? new Verdict(Outcome::Fail, "{$start} Expected: {$expected->reason}")
            : $this->named($expected, $setup, $value, $start, $others);
    }

    /**
     * The verdict with the single changes of this circuit that would read so, and read so everywhere else too.
     *
     * @param  list<TakenReading>  $others
     */
    private function named(Expectation $expected, Setup $setup, ?float $value, string $start, array $others): Verdict
    {
        $mode = $expected->mode === MeterMode::Volts ? MeterMode::Volts : MeterMode::Ohms;
        $others = array_values(
            array_filter($others, static fn (TakenReading $o): bool => ! $o->isOf($expected->a, $expected->b)),
        );
        $found = (new SingleCauses($this->circuit))->forReading(
            $setup,
            new TakenReading($mode, $expected->a, $expected->b, $value),
            $others,
        );
        if ($found === []) {
            return new Verdict(
                Outcome::Fail,
                "{$start} No single change of this circuit gives that: flag it as unexplained, check the probes and the range.",
            );
        }
        $says = array_values(array_unique(array_column($found, 'says')));
        $why = (new Meter($this->circuit))->read(
            $expected->mode,
            $setup->with($found[0]['edit']),
            $expected->a,
            $expected->b,
        )->reason;
        $rest =
            $others === [] || $found[0]['fitsAll']
                ? ''
                : ' No single change gives all readings of this call: a second fault, or one to read again.';

        return new Verdict(Outcome::Fail, "{$start} It reads so when {$says[0]}. {$why}{$rest}", $says);
    }

    private static function number(float $value): string
    {
        return number_format($value, abs($value) < 10.0 ? 2 : 1, '.', '');
    }
}
