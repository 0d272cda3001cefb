<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\World\Seen;

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
     * @param  list<string>  $cannot  keys of probes, places and calls that were refused
     */
    public function __construct(
        public Place $at,
        public TestSetup $setup,
        public array $fuses,
        public array $spent,
        public array $repaired = [],
        public float $minutes = 0.0,
        public array $cannot = [],
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

    public function setUp(TestSetup $setup): self
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
    public function tested(TestSetup $setup, Result $result, string $fused): self
    {
        $state = $this->setUp($setup);
        foreach ($result->fuses as $id => $said) {
            $state = $said === 'opened' ? $state->spends((string) $id) : $state->with((string) $id, self::OPEN);
        }
        $fuse = $result->sees[Seen::Fuse->value] ?? null;

        return $fuse === self::WHOLE || $fuse === self::OPEN ? $state->with($fused, $fuse) : $state;
    }

    /** After a test that could not be done: nothing of it is asked for again. */
    public function refused(TestSetup $setup, Probe $probe, string $why): self
    {
        $keys = [
            ...$why === 'no such call' ? ["call:{$setup->call->value}"] : [],
            ...array_map(static fn (string $p): string => "point:{$p}", array_filter([$probe->from, $probe->to])),
            ...$probe->inspect === '' ? [] : ["look:{$probe->inspect}"],
            ...array_map(static fn (string $k): string => "see:{$k}", $probe->see),
        ];

        return $this->copy(['cannot' => [...$this->cannot, ...$keys]]);
    }

    public function after(Event $event): self
    {
        $breaker = $this->setup->breaker;

        return match ($event->kind) {
            EventKind::FuseReplaced => $this->with($event->of, self::WHOLE),
            EventKind::FuseOpened => $this->spends($event->of),
            EventKind::BreakerIn => $this->setUp(
                $this->setup->broken(array_values(array_unique([...$breaker, $event->of]))),
            ),
            EventKind::BreakerOut => $this->setUp(
                $this->setup->broken(array_values(array_diff($breaker, [$event->of]))),
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

    /** @return array<string, mixed> as the protocol has it */
    public function toArray(): array
    {
        $fuses = [];
        foreach ($this->fuses as $id => $now) {
            $in = in_array($id, $this->setup->breaker, true);
            $fuses[$id] = ['now' => $in ? self::BREAKER : $now, 'spent' => $this->spent[$id] ?? 0];
        }

        return [
            'at' => $this->at->value,
            'power' => $this->setup->toArray()['power'],
            'call' => $this->setup->call->value,
            'jumpers' => $this->setup->jumpers,
            'lifted' => $this->setup->lifted,
            'unplugged' => $this->setup->unplugged,
            'face' => $this->setup->face->value,
            'breaker' => $this->setup->breaker,
            'held' => $this->setup->held,
            'link' => TestSetup::linked($this->setup->link),
            'fuses' => $fuses,
            'repaired' => $this->repaired,
            'routine' => $this->routine?->value,
            'minutes' => round($this->minutes, 1),
        ];
    }
}
