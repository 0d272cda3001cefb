<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

/** What moves while a circuit settles: loads in, fuses open, thermostat up or blank. */
final readonly class CircuitState
{
    /**
     * @param  array<string, true>  $in  load ids
     * @param  array<string, true>  $openFuses  transformer ids
     * @param  array<string, true>  $heldOut  loads that a fault keeps out
     */
    private function __construct(
        public array $in,
        public array $openFuses,
        public bool $thermostatUp,
        public array $heldOut,
    ) {
    }

    public static function atRest(Setup $setup): self
    {
        $held = [];
        foreach ($setup->edits as $edit) {
            $held += array_fill_keys($edit->holdsOut(), true);
        }

        return new self([], [], true, $held);
    }

    /** @param  array<string, true>  $in */
    public function withLoads(array $in): self
    {
        return new self($in, $this->openFuses, $this->thermostatUp, $this->heldOut);
    }

    public function withOpenFuse(string $transformerId): self
    {
        return new self(
            $this->in,
            [...$this->openFuses, $transformerId => true],
            $this->thermostatUp,
            $this->heldOut,
        );
    }

    /** The same fuses open as in another state. */
    public function withFusesOf(self $other): self
    {
        return new self($this->in, $other->openFuses, $this->thermostatUp, $this->heldOut);
    }

    public function withThermostat(bool $up): self
    {
        return new self($this->in, $this->openFuses, $up, $this->heldOut);
    }

    public function key(): string
    {
        return implode(',', array_keys($this->in)).
            '|'.
            implode(',', array_keys($this->openFuses)).
            '|'.
            ($this->thermostatUp ? 'up' : 'blank');
    }
}
