<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Contacts;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Phase;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Route\Walk;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\State;

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
        private readonly Contacts $points,
        private readonly Senses $sight,
        private readonly array $repairs,
    ) {
        $this->at = Place::Wall;
    }

    /** @param  list<string>  $fuses  transformers that get a new fuse on the way */
    public function of(State $state, Hands $test, Probe $probe, array $fuses = []): Handling
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
    private function moves(Hands $was, Hands $test, array $fuses): array
    {
        $gone = new Movements($this->circuit, $this->points, $was, $test);
        $new = new Movements($this->circuit, $this->points, $test, $was);
        $moves = [
            ...$gone->jumpers('unjumper', self::JUMPER / 2),
            ...$new->face(self::FACE, self::BARE),
            ...$new->link(self::JUMPER),
            ...$gone->ends('land', self::LIFT),
            ...$gone->places('plug', self::PLUG),
            ...$new->places('unplug', self::PLUG),
            ...$new->ends('lift', self::LIFT),
            ...$new->jumpers('jumper', self::JUMPER),
        ];
        foreach ([[$gone, EventKind::BreakerOut, 'unbreaker'], [$new, EventKind::BreakerIn, 'breaker']] as $way) {
            foreach ($way[0]->breakers() as $id) {
                $this->before[] = new Event($way[1], of: $id);
                $moves[] = [Place::Indoor, [$way[2] => $id], self::FUSE];
            }
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

    private function power(bool $on): void
    {
        $this->go(Place::Indoor);
        $this->steps[] = ['power' => $on ? 'on' : 'off'];
        $this->minutes += self::POWER;
    }

    private function call(Hands $was, Hands $test, bool $switched): void
    {
        $asks = $test->call !== $was->call && $test->face() === Face::On;
        if ($asks) {
            $this->go($test->call === CallName::Defrost ? Place::Outdoor : Place::Wall);
            $this->steps[] = ['call' => $test->call->value];
            $this->minutes += self::ASK;
        }
        $runs = $test->call !== CallName::Idle || $test->things->any(Jumper::class);
        if ($test->isolated || $test->phase === Phase::Early || ! $runs || (! $asks && ! $switched)) {
            return;
        }
        $this->minutes += $this->waits($was, $test, $switched);
    }

    /** Minutes until a call can be judged: a compressor rests where the power was off or where it has just run. */
    private function waits(Hands $was, Hands $test, bool $switched): float
    {
        $waits = new Waits($this->circuit->installation);
        $call = $test->call === CallName::Idle ? CallName::Fan : $test->call;
        $compressor = $waits->runsCompressor($call);
        if ($compressor && ! $switched && ! $waits->runsCompressor($was->call)) {
            return self::PROMPT;
        }

        return $waits->of($call, $test->things->any(Jumper::class) ? Method::Jumper : Method::Voltage)->seconds /
            60.0;
    }

    private function probe(Probe $probe): void
    {
        if ($probe->from !== null) {
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
        $part = At::read($known->of[0] ?? '');

        return $known->at ?? ($this->points->has($part) ? $this->points->placeOf($part) : Place::Indoor);
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
