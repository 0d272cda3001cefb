<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

/** One input of a figure, in US units. */
final readonly class Input
{
    /**
     * @param  string  $unit  V, A, VA, Ω, ft, °F, Δ°F, BTU/h, kW, CFM, tons, $ or nothing
     * @param  string  $source  where the value comes from: measured, the plate, the survey, a working figure
     * @param  bool  $optional  may stay empty
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $unit,
        public ?float $value,
        public string $source,
        public float $min,
        public float $max,
        public bool $optional = false,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['key' => $this->key, 'label' => $this->label, 'unit' => $this->unit, 'value' => $this->value, 'source' => $this->source, 'min' => $this->min, 'max' => $this->max, 'optional' => $this->optional];
    }
}
