<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Tracing\Test\Moment;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\World\Solved;
use Unionbit\Core\Tracing\World\World;

/**
 * When in the sequence a world first does what the sound house does not: with nothing called, as the call is made, or
 * once its delays and its valve step have run. What was noticed at another moment fits it badly.
 */
final class Moments
{
    /** What happens at one moment is told of at another so seldom; our working figure. */
    private const ANOTHER = 0.12;

    /** Amperes over the fuse, times, up to which it takes its minutes to open. */
    private const SLOW = 2.0;

    /** @var array<string, list<Moment>> by set-up, world and open fuses */
    private array $known = [];

    public function __construct(private readonly World $world, private readonly Worlds $worlds)
    {
    }

    /**
     * 1 where it fits or where nothing happens at all in that world, which the signs themselves judge.
     *
     * @param  list<string>  $open
     * @param  bool  $late  what is wrong there may show only after minutes
     */
    public function fits(Moment $when, TestSetup $test, string $world, array $open, bool $late): float
    {
        $key = $test->key()."/{$world}/".implode(',', $open);
        $moments = $this->known[$key] ??= $this->of($test, $this->worlds->fault($world), $open);

        $fits = $moments === [] || in_array($when, $moments, true) || ($late && $when === Moment::AfterMinutes);

        return $fits ? 1.0 : self::ANOTHER;
    }

    /**
     * Whether faults may show only after minutes: those that come and go, and those that show warm. A world cannot say
     * it: worlds are of the circuit alone, and several faults share one.
     *
     * @param  list<Fault>  $left
     */
    public static function late(array $left): bool
    {
        return array_any(
            $left,
            static fn (Fault $f): bool => $f->intermittent || $f->shows === ToldWhen::AfterMinutes,
        );
    }

    /**
     * @param  list<string>  $open
     * @return list<Moment>
     */
    private function of(TestSetup $test, ?Fault $fault, array $open): array
    {
        $held = $test->jumpers !== [] || $test->call === CallName::Idle;
        $settled = $this->world->solve($test, $fault, $open);
        $moments = match (true) {
            ! $held && $this->departs($test->asked(CallName::Idle), $fault, $open) => [Moment::AtOnce],
            $this->departs($test->before(), $fault, $open) => $held
                ? [Moment::AtOnce, Moment::OnCall]
                : [Moment::OnCall],
            ! $this->isOther($test, $settled, $open) => [],
            $test->call === CallName::Defrost => [Moment::AtDefrost],
            default => [Moment::AfterDelay, Moment::AtValve],
        };

        return $moments !== [] && $this->opensSlowly($settled) ? [...$moments, Moment::AfterMinutes] : $moments;
    }

    /** @param  list<string>  $open */
    private function departs(TestSetup $test, ?Fault $fault, array $open): bool
    {
        return $this->isOther($test, $this->world->solve($test, $fault, $open), $open);
    }

    /** @param  list<string>  $open */
    private function isOther(TestSetup $test, Solved $solved, array $open): bool
    {
        $sound = $this->world->solve($test, null, $open);
        $opens = $solved->point->openFuses ?? [];

        return $opens !== [] || $solved->seen !== $sound->seen || $solved->cycles();
    }

    private function opensSlowly(Solved $solved): bool
    {
        foreach ($solved->point->openFuses ?? [] as $id) {
            if ($solved->multiple($this->world->circuit, $id) < self::SLOW) {
                return true;
            }
        }

        return false;
    }
}
