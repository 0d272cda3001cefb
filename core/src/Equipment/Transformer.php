<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

/** A class 2 control transformer with its fuse, which sits between the winding and the hot screw. */
final readonly class Transformer
{
    /**
     * @param  float  $ratingVa  volt-amperes
     * @param  string  $hot  point behind the fuse, "indoor.R"
     * @param  string  $common  point, "indoor.C"
     * @param  ?float  $fuseAmps  rating; null where there is none
     * @param  ?bool  $bonded  its common is bonded to the cabinet; null: as the installation says
     * @param  bool  $reversed  out of phase with the first transformer
     */
    public function __construct(
        public string $id,
        public float $ratingVa,
        public string $hot,
        public string $common,
        public ?float $fuseAmps,
        public ?bool $bonded = null,
        public bool $reversed = false,
    ) {
    }

    /** Volts with no load: 24 V × 1.12 × line ÷ tap. */
    public static function idleVolts(float $lineVolts, float $tapVolts): float
    {
        return (24.0 * 1.12 * $lineVolts) / $tapVolts;
    }

    /** Purely resistive source impedance in ohms, so that the secondary gives 24 V at its rating. */
    public function sourceOhms(): float
    {
        return 69.12 / $this->ratingVa;
    }

    /** Secondary winding in ohms, power off. */
    public function windingOhms(): float
    {
        return 0.55 * $this->sourceOhms();
    }

    public function rated(float $va, ?float $fuseAmps): self
    {
        return new self($this->id, $va, $this->hot, $this->common, $fuseAmps, $this->bonded, $this->reversed);
    }

    public function wired(?bool $bonded, bool $reversed): self
    {
        return new self($this->id, $this->ratingVa, $this->hot, $this->common, $this->fuseAmps, $bonded, $reversed);
    }
}
