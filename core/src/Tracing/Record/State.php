<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Sense;
use Unionbit\Core\Data\Copies;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Test\Result;

/** Where a trace stands: the person, the set-up as it was left, the fuses as far as known, repairs, minutes. */
final readonly class State
{
    use Copies;

    public const WHOLE = 'whole';

    public const OPEN = 'open';

    public const NONE = 'none';

    public const BREAKER = 'breaker';

    public const UNKNOWN = 'unknown';

    /**
     * @param  array<string, string>  $fuses  what is known of each, by transformer
     * @param  array<string, int>  $spent  fuses that opened in this trace, by transformer
     * @param  list<string>  $repaired
     */
    public function __construct(
        public Place $at,
        public Hands $setup,
        public array $fuses,
        public array $spent,
        public array $repaired = [],
        public float $minutes = 0.0,
        public OutOfReach $cannot = new OutOfReach(),
        public ?Routine $routine = null,
    ) {
    }

    public function isOpen(string $transformer): bool
    {
        return ($this->fuses[$transformer] ?? self::NONE) === self::OPEN;
    }

    public function with(string $transformer, string $now): self
    {
        return isset($this->fuses[$transformer])
            ? $this->copy(['fuses' => [...$this->fuses, $transformer => $now]])
            : $this;
    }

    public function spends(string $transformer): self
    {
        return $this->with($transformer, self::OPEN)->copy([
            'spent' => [...$this->spent, $transformer => ($this->spent[$transformer] ?? 0) + 1],
        ]);
    }

    public function standing(Place $at): self
    {
        return $this->copy(['at' => $at]);
    }

    public function setUp(Hands $setup): self
    {
        return $this->copy(['setup' => $setup]);
    }

    public function later(float $minutes): self
    {
        return $this->copy(['minutes' => $this->minutes + $minutes]);
    }

    public function repaired(string $what): self
    {
        return $this->copy(['repaired' => [...$this->repaired, $what]]);
    }

    /**
     * After a test: its set-up stands, its fuses are what it says.
     *
     * @param  string  $fused  the supply of which "fuse" is said
     */
    public function tested(Hands $setup, Result $result, string $fused): self
    {
        $state = $this->setUp($setup);
        foreach ($result->fuses as $id => $said) {
            $state = $said === 'opened' ? $state->spends((string) $id) : $state->with((string) $id, self::OPEN);
        }
        $fuse = $result->sees[Sense::Fuse->value] ?? null;

        return $fuse === self::WHOLE || $fuse === self::OPEN ? $state->with($fused, $fuse) : $state;
    }

    /** After a test that could not be done: nothing of it is asked for again. */
    public function refused(Hands $setup, Probe $probe, string $why): self
    {
        return $this->copy(['cannot' => $this->cannot->with($setup, $probe, $why)]);
    }

    public function after(Event $event): self
    {
        $breakers = $this->setup->breakers();

        return match ($event->kind) {
            EventKind::FuseReplaced => $this->with($event->of, self::WHOLE),
            EventKind::FuseOpened => $this->spends($event->of),
            EventKind::BreakerIn => $this->setUp($this->setup->broken(...$breakers, ...[$event->of])),
            EventKind::BreakerOut => $this->setUp(
                $this->setup->broken(...array_values(array_diff($breakers, [$event->of]))),
            ),
            EventKind::Moved => $this->standing(Place::from($event->of)),
            EventKind::ProvedDead => $this->setUp($this->setup->provedDead()),
            EventKind::Routine => $this->guidedBy(Routine::tryFrom($event->key)),
            default => $this,
        };
    }

    private function guidedBy(?Routine $routine): self
    {
        return $this->copy(['routine' => $routine]);
    }
}
