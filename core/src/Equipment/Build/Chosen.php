<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\InvalidData;

/** A unit that stands in the house, with its options as they are. */
final readonly class Chosen
{
    /** @param  array<string, string>  $options  every option of the unit, by key */
    private function __construct(public Unit $unit, public array $options)
    {
    }

    /**
     * @param  array<string, string>  $options  those that differ from the unit's defaults, or all
     *
     * @throws InvalidData where the unit has no such option or choice
     */
    public static function of(Unit $unit, array $options): self
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

        return new self($unit, $all);
    }

    /** "furnace:stages=2" with what differs from the defaults, always in the order of the unit's file. */
    public function key(): string
    {
        $differs = [];
        foreach ($this->unit->options as $key => $option) {
            if ($this->options[$key] !== $option->default) {
                $differs[] = "{$key}={$this->options[$key]}";
            }
        }

        return $differs === [] ? $this->unit->id : "{$this->unit->id}:".implode(',', $differs);
    }
}
