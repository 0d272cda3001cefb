<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Equipment\Transformer;

/** What was read and measured of one supply of a house. Null means: not looked at yet, the default is used. */
final readonly class SupplyFacts
{
    /** Volts of line and tap where nobody has looked. */
    public const USUAL_VOLTS = 120.0;

    /**
     * @param  ?float  $lineVolts  measured at its line leads
     * @param  ?float  $tapVolts  primary tap in use
     * @param  ?float  $transformerVa  from its plate
     * @param  ?float  $fuseAmps  rating of the fuse in place; 0 where there is none
     */
    public function __construct(
        public ?float $lineVolts = null,
        public ?float $tapVolts = null,
        public ?float $transformerVa = null,
        public ?float $fuseAmps = null,
    ) {
    }

    /** The supply of the catalogue with what is known of it in this house. */
    public function on(Transformer $supply): Transformer
    {
        return $supply
            ->rated(
                $this->transformerVa ?? $supply->ratingVa,
                $this->fuseAmps === 0.0 ? null : $this->fuseAmps ?? $supply->fuseAmps,
            )
            ->fed($this->lineVolts ?? self::USUAL_VOLTS, $this->tapVolts ?? self::USUAL_VOLTS);
    }

    public function isEmpty(): bool
    {
        return $this->toArray() === [];
    }

    /** @return array<string, float> what is known, as a job file has it */
    public function toArray(): array
    {
        return array_filter(
            [
                'lineVolts' => $this->lineVolts,
                'tapVolts' => $this->tapVolts,
                'transformerVa' => $this->transformerVa,
                'fuseAmps' => $this->fuseAmps,
            ],
            static fn (?float $value): bool => $value !== null,
        );
    }
}
