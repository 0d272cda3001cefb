<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Terminal\Place;

/** A unit that stands in the house, with its options as they are. */
final readonly class Chosen
{
    /**
     * @param  array<string, string>  $options  every option of the unit, by key
     * @param  list<string>  $decided  keys of those that were said; the others are as its file has them
     */
    private function __construct(
        public Unit $unit,
        public array $options,
        public Place $place,
        public array $decided,
    ) {
    }

    /**
     * @param  array<string, string>  $options  those that differ from the unit's defaults, or all
     * @param  ?Place  $place  where it stands; null where its file says
     *
     * @throws InvalidData where the unit has no such option or choice
     */
    public static function of(Unit $unit, array $options, ?Place $place = null): self
    {
        $all = array_map(static fn (Option $option): string => $option->default, $unit->options);
        foreach ($options as $key => $choice) {
            $option = $unit->options[$key] ?? null;
            if ($option === null) {
                throw InvalidData::notAllowed("/{$unit->id}", $key, implode(', ', array_keys($unit->options)));
            }
            if (! in_array($choice, $option->choices, true)) {
                throw InvalidData::notAllowed("/{$unit->id}/{$key}", $choice, implode(', ', $option->choices));
            }
            $all[$key] = $choice;
        }

        return new self($unit, $all, $place ?? $unit->place, array_keys($options));
    }

    /** Whether it is an outdoor unit, wherever it stands: a packaged unit has it in the same cabinet. */
    public function isOutdoorUnit(): bool
    {
        return $this->unit->place->isOutdoors();
    }

    /** Whether the survey's questions say of it that it is there. */
    public function isAsked(): bool
    {
        return ! in_array($this->unit->role, ['accessory', 'panel'], true);
    }

    public function at(Place $place): self
    {
        return new self($this->unit, $this->options, $place, $this->decided);
    }

    /** Where the same unit stood before, with those of its options that nobody is asked for. */
    public function carrying(self $before): self
    {
        $unasked = array_filter(
            $before->options,
            fn (string $key): bool => ($this->unit->options[$key]->answer ?? null) === null,
            ARRAY_FILTER_USE_KEY,
        );

        return new self($this->unit, [...$this->options, ...$unasked], $before->place, $this->decided);
    }

    /** Whether it is what the answers mean: the same unit, with every option as they say it. */
    public function isAs(self $meant): bool
    {
        $said = array_intersect_key($meant->options, array_flip($meant->decided));

        return $this->unit->id === $meant->unit->id && array_diff_assoc($said, $this->options) === [];
    }

    /** @return array<string, string> the options that differ from the unit's file */
    public function differs(): array
    {
        return array_filter(
            $this->options,
            fn (string $choice, string $key): bool => $choice !== $this->unit->options[$key]->default,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /** "furnace@indoor-2:stages=2" with what differs from the unit's file, always in the order of that file. */
    public function key(): string
    {
        $at = $this->place === $this->unit->place ? '' : "@{$this->place->value}";
        $differs = $this->differs();
        $said = array_map(
            static fn (string $key, string $choice): string => "{$key}={$choice}",
            array_keys($differs),
            $differs,
        );

        return $this->unit->id.$at.($said === [] ? '' : ':'.implode(',', $said));
    }

    /** @return array{unit: string, place: string, options?: array<string, string>} as a job file has it */
    public function toArray(): array
    {
        $differs = $this->differs();

        return [
            'unit' => $this->unit->id,
            'place' => $this->place->value,
            ...$differs === [] ? [] : ['options' => $differs],
        ];
    }
}
