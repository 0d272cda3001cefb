<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\DrivenContact;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Jumper;

/** The house in hand as the survey found it: the aggregate that every other part of the core reads. */
final readonly class Installation
{
    /**
     * @param  list<Cable>  $cables
     * @param  list<Jumper>  $jumpers  found in place, at the plate or the board
     */
    public function __construct(
        public Archetype $archetype,
        public Facts $facts,
        public array $cables,
        public array $jumpers = [],
    ) {
    }

    /** The cable between the wall and the indoor unit. */
    public function wallCable(): ?Cable
    {
        return $this->cableFrom(Place::Wall);
    }

    /** The cable between the indoor and the outdoor unit. */
    public function outdoorCable(): ?Cable
    {
        return $this->cableFrom(Place::Indoor);
    }

    public function cable(string $id): ?Cable
    {
        foreach ($this->cables as $cable) {
            if ($cable->id === $id) {
                return $cable;
            }
        }

        return null;
    }

    public function withCable(Cable $changed): self
    {
        $cables = array_map(static fn (Cable $cable): Cable => $cable->id === $changed->id ? $changed : $cable, $this->cables);

        return new self($this->archetype, $this->facts, $cables, $this->jumpers);
    }

    /** @return list<Transformer> with the ratings that the survey read from the plates */
    public function transformers(): array
    {
        $transformers = [];
        foreach ($this->archetype->transformers as $index => $transformer) {
            $transformers[] = $index === 0
                ? $transformer->rated($this->facts->transformerVa ?? $transformer->ratingVa, $this->facts->fuseAmps ?? $transformer->fuseAmps)
                : $transformer->wired($this->facts->secondBonded ?? $transformer->bonded ?? false, $this->facts->secondPhase === 'out');
        }

        return $transformers;
    }

    /** @return list<Load> of the equipment, and the relays of safety devices */
    public function loads(): array
    {
        $loads = $this->archetype->loads;
        foreach ($this->facts->safety as $device) {
            if ($device->relay) {
                $contacts = array_map(static fn (string $screw): DrivenContact => new DrivenContact("{$device->id}-{$screw}", "{$device->label} relay's contact in {$screw}", "indoor.{$screw}.{$device->id}", "indoor.{$screw}", false, 0.0), $device->breaks);
                $loads[] = new Load("{$device->id}-relay", LoadKind::Relay, "{$device->label} relay", "indoor.{$device->id}", 'indoor.C', null, $contacts);
            }
        }

        return $loads;
    }

    public function load(string $id): ?Load
    {
        foreach ($this->loads() as $load) {
            if ($load->id === $id) {
                return $load;
            }
        }

        return null;
    }

    public function commonBonded(): bool
    {
        return $this->facts->commonBonded ?? $this->archetype->commonBonded;
    }

    private function cableFrom(Place $place): ?Cable
    {
        foreach ($this->cables as $cable) {
            if ($cable->from === $place) {
                return $cable;
            }
        }

        return null;
    }
}
