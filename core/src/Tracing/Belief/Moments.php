<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\HouseState;
use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Asked\Phase;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Tracing\Test\Moment;

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

    public function __construct(private readonly AskedHouse $house, private readonly Worlds $worlds)
    {
    }

    /**
     * 1 where it fits or where nothing happens at all in that world, which the signs themselves judge.
     *
     * @param  bool  $late  what is wrong there may show only after minutes
     */
    public function fits(Moment $when, Hands $test, string $world, OpenFuses $open, bool $late): float
    {
        $key = $test->key()."/{$world}/".$open->key();
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

    /** @return list<Moment> */
    private function of(Hands $test, ?Fault $fault, OpenFuses $open): array
    {
        $held = $test->things->any(Jumper::class) || $test->call === CallName::Idle;
        $settled = $this->house->with($fault, $open)->state($test);
        $moments = match (true) {
            ! $held && $this->departs($test->asked(CallName::Idle), $fault, $open) => [Moment::AtOnce],
            $this->departs($test->at(Phase::Early), $fault, $open) => $held
                ? [Moment::AtOnce, Moment::OnCall]
                : [Moment::OnCall],
            ! $this->isOther($test, $settled, $open) => [],
            $test->call === CallName::Defrost => [Moment::AtDefrost],
            default => [Moment::AfterDelay, Moment::AtValve],
        };

        return $moments !== [] && $this->opensSlowly($settled) ? [...$moments, Moment::AfterMinutes] : $moments;
    }

    private function departs(Hands $test, ?Fault $fault, OpenFuses $open): bool
    {
        return $this->isOther($test, $this->house->with($fault, $open)->state($test), $open);
    }

    private function isOther(Hands $test, HouseState $solved, OpenFuses $open): bool
    {
        $sound = $this->house->with(null, $open)->state($test);
        $opens = $solved->point->openFuses ?? [];

        return $opens !== [] || $solved->seen !== $sound->seen || $solved->cycles();
    }

    private function opensSlowly(HouseState $solved): bool
    {
        foreach ($solved->point->openFuses ?? [] as $id) {
            if ($solved->multiple($this->house->circuit, $id) < self::SLOW) {
                return true;
            }
        }

        return false;
    }
}
