<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Expectation;
use Unionbit\Core\Circuit\Meter;
use Unionbit\Core\Circuit\MeterMode;
use Unionbit\Core\Circuit\Setup;

/** Judges a reading against what the circuit of the job expects, and says why from the circuit. */
final readonly class Judge
{
    private const GHOST_VOLTS = 20.0;

    public function __construct(private Circuit $circuit)
    {
    }

    /**
     * @param  ?float  $value  in the mode's unit; null means over-limit
     * @param  int  $secondsLeft  of a delay that is still running, 0 when it is over
     */
    public function reading(Expectation $expected, Setup $setup, ?float $value, int $secondsLeft = 0): Verdict
    {
        if ($expected->refused !== null) {
            return new Verdict(Outcome::Neutral, $expected->refused);
        }
        if ($expected->overLimit) {
            return $value === null ? new Verdict(Outcome::Pass, $expected->reason) : $this->named($expected, $setup, $value, sprintf('%s Ω where nothing should connect: something is still joined.', self::number($value)));
        }
        if ($value === null) {
            return $this->named($expected, $setup, null, 'Over-limit, where a path is expected: '.lcfirst($expected->reason));
        }
        if ($expected->floating) {
            return $value <= self::GHOST_VOLTS
                ? new Verdict(Outcome::Neutral, $expected->reason)
                : new Verdict(Outcome::Fail, sprintf('%s V on a point that should float: it is fed from somewhere. %s', self::number($value), $expected->reason));
        }
        if ($expected->contains($value)) {
            return new Verdict(Outcome::Pass, $expected->reason);
        }
        if ($secondsLeft > 0) {
            return new Verdict(Outcome::TooEarly, sprintf('A delay is still running, %d:%02d to go: too early to judge.', intdiv($secondsLeft, 60), $secondsLeft % 60));
        }

        return $this->fail($expected, $setup, $value);
    }

    private function fail(Expectation $expected, Setup $setup, float $value): Verdict
    {
        $unit = $expected->mode->unit();
        $start = sprintf('%s %s where %s–%s %s is expected.', self::number($value), $unit, self::number((float) $expected->low), self::number((float) $expected->high), $unit);

        return $expected->mode === MeterMode::Amps
            ? new Verdict(Outcome::Fail, "{$start} Expected: {$expected->reason}")
            : $this->named($expected, $setup, $value, $start);
    }

    /** The verdict with the single changes of this circuit that would read so. */
    private function named(Expectation $expected, Setup $setup, ?float $value, string $start): Verdict
    {
        $found = (new Candidates($this->circuit))->forReading($expected->mode === MeterMode::Volts ? MeterMode::Volts : MeterMode::Ohms, $setup, $expected->a, $expected->b, $value);
        if ($found === []) {
            return new Verdict(Outcome::Fail, "{$start} No single change of this circuit gives that: flag it as unexplained, check the probes and the range.");
        }
        $says = array_values(array_unique(array_column($found, 'says')));
        $why = (new Meter($this->circuit))->read($expected->mode, $setup->with($found[0]['edit']), $expected->a, $expected->b)->reason;

        return new Verdict(Outcome::Fail, "{$start} It reads so when {$says[0]}. {$why}", $says);
    }

    private static function number(float $value): string
    {
        return number_format($value, abs($value) < 10.0 ? 2 : 1, '.', '');
    }
}
