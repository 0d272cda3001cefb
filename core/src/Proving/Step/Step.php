<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** One proof of one call: power, place, set-up, wait, what to measure, what to see, how to put things back. */
final readonly class Step
{
    /** Measured with the power off from beginning to end. */
    public bool $staysDead;

    /**
     * @param  bool  $setUpIsolated  the set-up needs the power off and proved dead
     * @param  list<string>  $closes  printed terminals that stand closed to the hot
     * @param  string  $hot  printed hot screw that the call takes from
     * @param  Hands  $waiting  the same while the delay still runs: what is held back is not closed yet
     * @param  list<Measure>  $probes
     * @param  list<Sign>  $signs
     * @param  list<Message>  $restore  temporary things that the step leaves, to be undone
     * @param  ?string  $follows  key of the step whose running call this one is added to
     * @param  ?Wait  $onward  the wait where it follows on without a stop between
     * @param  ?Wait  $forced  where the thermostat's test menu makes the call: that menu's own wait
     * @param  list<Message>  $buildUp  a jumper built up screw by screw, with what each brings in
     * @param  list<Message>  $beside  screws next to the jumper where a slip does harm
     * @param  int  $number  of several of the same kind in one call, as float switches
     * @param  ?Wait  $dropOff  how long what pulled in may run on after the call; null where that is not asked
     */
    public function __construct(
        public CallName $call,
        public Method $method,
        public bool $setUpIsolated,
        public Message $do,
        public array $closes,
        public string $hot,
        public Wait $wait,
        public Hands $hands,
        public Hands $waiting,
        public array $probes,
        public array $signs,
        public array $restore,
        public ?string $follows = null,
        public ?Wait $onward = null,
        public ?Wait $dropOff = null,
        public int $number = 1,
        public array $beside = [],
        public array $buildUp = [],
        public ?Wait $forced = null,
    ) {
        $this->staysDead = $method->isDead();
    }

    public function key(): string
    {
        $key = $this->call->value.'.'.$this->method->value;

        return $this->number === 1 ? $key : "{$key}-{$this->number}";
    }

    /** @return list<Measure> without which it does not pass */
    public function needed(): array
    {
        return array_values(array_filter($this->probes, static fn (Measure $p): bool => ! $p->optional));
    }

    /** @return list<Place> where to stand, in order: for the set-up, then for each pair that has to be measured */
    public function places(): array
    {
        $places = $this->method === Method::PreCheck ? [] : [$this->method->place()];
        foreach ($this->needed() as $probe) {
            $at = $probe->probe->from->place ?? $this->method->place();
            $at = $at === Place::Module ? Place::Indoor : $at;
            if (! in_array($at, $places, true)) {
                $places[] = $at;
            }
        }

        return $places;
    }
}
