<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Guide\Routine;
use Unionbit\Core\Tracing\Test\TestSetup;

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

    public function guidedBy(?Routine $routine): self
    {
        return $this->copy(['routine' => $routine]);
    }

    public function refusing(string $key): self
    {
        return $this->copy(['cannot' => [...$this->cannot, $key]]);
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
            'fuses' => $fuses,
            'repaired' => $this->repaired,
            'routine' => $this->routine?->value,
            'minutes' => round($this->minutes, 1),
        ];
    }
}
