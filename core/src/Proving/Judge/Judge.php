<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Asked\Show\Tolerances;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Step\Verdict;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** Judges a reading against what the circuit of the job expects, and says why from the circuit. */
final readonly class Judge
{
    /** Below this many volts AC an isolated circuit is dead: what a meter shows there is pick-up. */
    public const DEAD_BELOW = 1.0;

    public function __construct(private AskedHouse $house)
    {
    }

    /**
     * @param  ?float  $value  in the mode's unit; null means over-limit
     * @param  int  $secondsLeft  of a delay that is still running, 0 when it is over
     * @param  ?Hands  $waiting  the set-up while that delay runs; null where every point is taken to wait
     * @param  list<MeterReading>  $others  what else was read in the same set-up
     */
    public function reading(
        Expectation $expected,
        Hands $hands,
        ?float $value,
        int $secondsLeft = 0,
        ?Hands $waiting = null,
        array $others = [],
    ): Verdict {
        if ($expected->refused !== null) {
            return new Verdict(Outcome::Neutral, $expected->refused);
        }
        if ($hands->isolated && $expected->mode === MeterMode::Volts && $value !== null) {
            return self::dead($value);
        }
        if (! $expected->fits($value)) {
            foreach ($expected->others as $other) {
                if ($other->fits($value)) {
                    return new Verdict(
                        Outcome::Neutral,
                        Message::of('proving.judge.fits-what-is-not-known', notes: $expected->notes),
                    );
                }
            }
        }
        if ($expected->overLimit) {
            return $value === null
                ? new Verdict(Outcome::Pass, $expected->reason)
                : $this->named(
                    $expected,
                    $hands,
                    $value,
                    Message::of(
                        'proving.judge.where-nothing-should-connect-something',
                        value: self::quantity($value, MeterMode::Ohms),
                    ),
                    $others,
                );
        }
        if ($value === null) {
            return $this->named(
                $expected,
                $hands,
                null,
                Message::of('proving.judge.over-limit-where-path-expected', reason: $expected->reason->within()),
                $others,
            );
        }
        if ($expected->floating) {
            return $value <= Expectation::GHOST_VOLTS
                ? new Verdict(Outcome::Neutral, $expected->reason)
                : new Verdict(
                    Outcome::Fail,
                    Message::of(
                        'proving.judge.v-on-point-should-float',
                        value: self::quantity($value, MeterMode::Volts),
                        reason: $expected->reason,
                    ),
                );
        }
        if ($expected->contains($value)) {
            return new Verdict(Outcome::Pass, $expected->reason);
        }
        if ($secondsLeft > 0 && $this->waits($expected, $waiting)) {
            return new Verdict(
                Outcome::TooEarly,
                Message::of(
                    'proving.judge.delay-still-running-go-too',
                    left: sprintf('%d:%02d', intdiv($secondsLeft, 60), $secondsLeft % 60),
                ),
            );
        }

        return $this->fail($expected, $hands, $value, $others);
    }

    /**
     * Power off and proved dead: a fraction of a volt is pick-up and says nothing of fuse or winding; more is a
     * source.
     */
    private static function dead(float $value): Verdict
    {
        return $value < self::DEAD_BELOW
            ? new Verdict(Outcome::Pass, Message::of('proving.judge.power-off-dead-fraction-volt'))
            : new Verdict(
                Outcome::Fail,
                Message::of(
                    'proving.judge.v-with-power-off-something',
                    value: self::quantity($value, MeterMode::Volts),
                ),
            );
    }

    /**
     * Whether these points show something else while the delay runs: what the thermostat closes at once does not
     * wait.
     */
    private function waits(Expectation $expected, ?Hands $waiting): bool
    {
        if ($waiting === null) {
            return true;
        }
        $now = $this->house->expects($waiting, $expected->mode, $expected->a, $expected->b);

        return Tolerances::waits($now, $expected);
    }

    /** @param  list<MeterReading>  $others */
    private function fail(Expectation $expected, Hands $hands, float $value, array $others): Verdict
    {
        $start = Message::of(
            'proving.judge.where-expected',
            value: self::quantity($value, $expected->mode),
            low: Quantity::number((float) $expected->low, $expected->mode->decimals((float) $expected->low)),
            high: self::quantity((float) $expected->high, $expected->mode),
        );

        return $expected->mode === MeterMode::Amps
            ? new Verdict(
                Outcome::Fail,
                Message::of('proving.judge.expected', start: $start, reason: $expected->reason),
            )
            : $this->named($expected, $hands, $value, $start, $others);
    }

    /**
     * The verdict with the single changes of this circuit that would read so, and read so everywhere else too.
     *
     * @param  list<MeterReading>  $others
     */
    private function named(
        Expectation $expected,
        Hands $hands,
        ?float $value,
        Message $start,
        array $others,
    ): Verdict {
        $mode = $expected->mode === MeterMode::Volts ? MeterMode::Volts : MeterMode::Ohms;
        $others = array_values(
            array_filter($others, static fn (MeterReading $o): bool => ! $o->isOf($expected->a, $expected->b)),
        );
        $found = (new SingleCauses($this->house))->forReading(
            $hands,
            new MeterReading($mode, $expected->a, $expected->b, $value),
            $others,
        );
        if ($found === []) {
            return new Verdict(
                Outcome::Fail,
                Message::of('proving.judge.no-single-change-circuit-gives', start: $start),
            );
        }
        $says = Message::unique(array_column($found, 'says'));
        $why = $this->house
            ->changed($found[0]['edit'])
            ->expects($hands, $expected->mode, $expected->a, $expected->b)->reason;
        $more = $others !== [] && ! $found[0]['fitsAll'];
        $reason = Message::of('proving.judge.reads-so-when', start: $start, says: $says[0], why: $why);

        return new Verdict(
            Outcome::Fail,
            Message::sentences([
                $reason,
                $more ? Message::of('proving.judge.no-single-change-gives-all') : Message::none(),
            ]),
            $says,
        );
    }

    private static function quantity(float $value, MeterMode $mode): Quantity
    {
        return Quantity::of($value, Unit::from($mode->unit()), $mode->decimals($value));
    }
}
