<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Proving\Route\Walk;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Test\Face;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\World\Points;
use Unionbit\Core\Tracing\World\Sight;

/**
 * From one set-up to another: every movement of the hand in its order, nothing moved with the power on, and the minutes
 * of it. What may stay as it is costs nothing. Minutes of handling are our working figures; walks are those of a route.
 */
final class Cost
{
    private const POWER = 1.0;

    private const JUMPER = 0.7;

    private const LIFT = 0.4;

    private const PLUG = 1.0;

    private const FACE = 0.4;

    private const BARE = 2.0;

    private const FUSE = 1.0;

    private const ASK = 0.3;

    private const PROBE = 0.4;

    private const SEE = 0.3;

    /** A call that has nothing to wait for answers in so many. */
    private const PROMPT = 0.3;

    /** Between two places of which no other figure is known. */
    private const NEXT_DOOR = 1.0;

    /** @var list<array<string, mixed>> */
    private array $steps = [];

    /** @var list<Event> */
    private array $before = [];

    private float $minutes = 0.0;

    private Place $at;

    /** @param  array<string, Repair>  $repairs  by id: what is looked at, and done */
    public function __construct(
        private readonly Circuit $circuit,
        private readonly Points $points,
        private readonly Sight $sight,
        private readonly array $repairs,
    ) {
        $this->at = Place::Wall;
    }

    /** @param  list<string>  $fuses  transformers that get a new fuse on the way */
    public function of(State $state, TestSetup $test, Probe $probe, array $fuses = []): Handling
    {
        [$this->steps, $this->before, $this->minutes, $this->at] = [[], [], 0.0, $state->at];
        $was = $state->setup;
        $moves = $this->moves($was, $test, $fuses);
        $live = ! $was->isolated;
        if ($moves !== [] && $live) {
            $this->power(false);
            $live = false;
        }
        foreach ($moves as [$place, $step, $minutes]) {
            $this->go($place);
            $this->steps[] = $step;
            $this->minutes += $minutes;
        }
        $switched = $test->isolated === $live;
        if ($switched) {
            $this->power(! $test->isolated);
        }
        $this->call($was, $test, $switched);
        $this->probe($probe);

        return new Handling($this->steps, $this->before, round($this->minutes, 2), $this->at);
    }

    /** Minutes of going to a place and doing something there. */
    public function at(State $state, Place $place, float $minutes): Handling
    {
        [$this->steps, $this->before, $this->minutes, $this->at] = [[], [], 0.0, $state->at];
        $this->go($place);

        return new Handling($this->steps, [], round($this->minutes + $minutes, 2), $this->at);
    }

    /**
     * @param  list<string>  $fuses
     * @return list<array{Place, array<string, mixed>, float}>
     */
    private function moves(TestSetup $was, TestSetup $test, array $fuses): array
    {
        $moves = [];
        foreach (self::without($was->jumpers, $test->jumpers) as [$a, $b]) {
            $moves[] = [$this->points->placeOf($a), ['unjumper' => [$a, $b]], self::JUMPER / 2];
        }
        if ($test->face !== $was->face) {
            $bare = $test->face === Face::Bare || $was->face === Face::Bare;
            $moves[] = [Place::Wall, ['face' => $test->face->value], $bare ? self::BARE : self::FACE];
        }
        if ($test->link !== $was->link) {
            $in = $test->link ?? $this->circuit->landing->linkIn;
            $moves[] = [Place::Wall, ['link' => TestSetup::linked($in)], self::JUMPER];
        }
        foreach (array_diff($was->lifted, $test->lifted) as $end) {
            $moves[] = [$this->points->placeOf($end), ['land' => $end], self::LIFT];
        }
        foreach (array_diff($was->unplugged, $test->unplugged) as $place) {
            $moves[] = [Place::from($place), ['plug' => $place], self::PLUG];
        }
        foreach (array_diff($test->unplugged, $was->unplugged) as $place) {
            $moves[] = [Place::from($place), ['unplug' => $place], self::PLUG];
        }
        foreach (array_diff($test->lifted, $was->lifted) as $end) {
            $moves[] = [$this->points->placeOf($end), ['lift' => $end], self::LIFT];
        }
        foreach (self::without($test->jumpers, $was->jumpers) as [$a, $b]) {
            $moves[] = [$this->points->placeOf($a), ['jumper' => [$a, $b]], self::JUMPER];
        }
        foreach (array_diff($was->breaker, $test->breaker) as $id) {
            $this->before[] = new Event(EventKind::BreakerOut, of: $id);
            $moves[] = [Place::Indoor, ['unbreaker' => $id], self::FUSE];
        }
        foreach (array_diff($test->breaker, $was->breaker) as $id) {
            $this->before[] = new Event(EventKind::BreakerIn, of: $id);
            $moves[] = [Place::Indoor, ['breaker' => $id], self::FUSE];
        }
        foreach ($fuses as $id) {
            $this->before[] = new Event(EventKind::FuseReplaced, of: $id, amps: $this->rating($id));
            $moves[] = [Place::Indoor, ['fuse' => $id], self::FUSE];
        }

        return $moves;
    }

    private function rating(string $id): ?float
    {
        foreach ($this->circuit->installation->transformers() as $transformer) {
            if ($transformer->id === $id) {
                return $transformer->fuseAmps;
            }
        }

        return null;
    }

    /**
     * @param  list<array{string, string}>  $jumpers
     * @param  list<array{string, string}>  $others
     * @return list<array{string, string}>
     */
    private static function without(array $jumpers, array $others): array
    {
        $known = array_map(self::pair(...), $others);

        return array_values(
            array_filter($jumpers, static fn (array $pair): bool => ! in_array(self::pair($pair), $known, true)),
        );
    }

    /** @param  array{string, string}  $pair */
    private static function pair(array $pair): string
    {
        sort($pair);

        return implode('~', $pair);
    }

    private function power(bool $on): void
    {
        $this->go(Place::Indoor);
        $this->steps[] = ['power' => $on ? 'on' : 'off'];
        $this->minutes += self::POWER;
    }

    private function call(TestSetup $was, TestSetup $test, bool $switched): void
    {
        $asks = $test->call !== $was->call && $test->face === Face::On;
        if ($asks) {
            $this->go($test->call === CallName::Defrost ? Place::Outdoor : Place::Wall);
            $this->steps[] = ['call' => $test->call->value];
            $this->minutes += self::ASK;
        }
        $runs = $test->call !== CallName::Idle || $test->jumpers !== [];
        if ($test->isolated || $test->early || ! $runs || (! $asks && ! $switched)) {
            return;
        }
        $this->minutes += $this->waits($was, $test, $switched);
    }

    /** Minutes until a call can be judged: a compressor rests where the power was off or where it has just run. */
    private function waits(TestSetup $was, TestSetup $test, bool $switched): float
    {
        $waits = new Waits($this->circuit->installation);
        $call = $test->call === CallName::Idle ? CallName::Fan : $test->call;
        $compressor = $waits->runsCompressor($call);
        if ($compressor && ! $switched && ! $waits->runsCompressor($was->call)) {
            return self::PROMPT;
        }

        return $waits->of($call, $test->jumpers === [] ? Method::Voltage : Method::Jumper)->seconds / 60.0;
    }

    private function probe(Probe $probe): void
    {
        if ($probe->mode !== null) {
            $this->go($this->points->placeOf($probe->from));
            $this->minutes += self::PROBE;

            return;
        }
        if ($probe->inspect !== '') {
            $this->go($this->placeOf($probe->inspect));
            $this->minutes += $this->repairs[$probe->inspect]->look ?? 1;

            return;
        }
        foreach ($this->placesOf($probe->see) as $place) {
            $this->go($place);
            $this->minutes += self::SEE;
        }
    }

    /**
     * @param  list<string>  $keys
     * @return list<Place> the one where all of it is seen, else each
     */
    private function placesOf(array $keys): array
    {
        foreach ([$this->at, Place::Wall, Place::Indoor] as $place) {
            if (array_diff($keys, $this->sight->from($place)) === []) {
                return [$place];
            }
        }

        return $this->sight->placesOf($keys);
    }

    /** Where a repair is done and looked for: its own place, else that of the part, else the indoor unit. */
    public function placeOf(string $repair): Place
    {
        $known = $this->repairs[$repair] ?? null;
        $part = $known->of[0] ?? '';

        return $known->at ?? ($this->points->of($part) === null ? Place::Indoor : $this->points->placeOf($part));
    }

    private function go(Place $to): void
    {
        if ($to === $this->at) {
            return;
        }
        $this->minutes += max(self::NEXT_DOOR, Walk::secondsBetween($this->at, $to) / 60.0);
        $this->steps[] = ['go' => $to->value];
        $this->at = $to;
    }
}
