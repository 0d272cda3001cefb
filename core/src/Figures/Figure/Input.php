<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Figure;

use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * One input of a figure, in US units. What the house gives and cannot be right, such as a plan with nothing landed
 * yet, stays empty and says so.
 */
final readonly class Input
{
    public ?float $value;

    public Message $source;

    /**
     * @param  Message  $source  where the value comes from: measured, the plate, the survey, a working figure
     * @param  bool  $optional  may stay empty
     * @param  bool  $overLimit  a meter may show OL here, which counts as the most
     * @param  ?Message  $row  what several inputs stand together for, in one row: a grille, one of two ways
     */
    public function __construct(
        public string $key,
        public Message $label,
        public Unit $unit,
        ?float $value,
        Message $source,
        public float $min,
        public float $max,
        public bool $optional = false,
        public ?Message $row = null,
        public bool $overLimit = false,
    ) {
        $fits = $value === null || ($value >= $min && $value <= $max);
        $this->value = $fits ? $value : null;
        $this->source = $fits
            ? $source
            : Message::of(
                'figures.input.says-which-cannot-be',
                source: $source,
                value: Quantity::of($value, Unit::Number),
            );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'label' => $this->label,
            'unit' => $this->unit->value,
            'value' => $this->value,
            'source' => $this->source,
            'min' => $this->min,
            'max' => $this->max,
            'optional' => $this->optional,
            'row' => $this->row,
        ];
    }
}
