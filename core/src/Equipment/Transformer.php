<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Data\Copies;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;

/** A class 2 control transformer with its fuse, which sits between the winding and the hot screw. */
final readonly class Transformer
{
    use Copies;

    /**
     * @param  float  $ratingVa  volt-amperes
     * @param  string  $hot  point behind the fuse, "indoor.R"
     * @param  string  $common  point, "indoor.C"
     * @param  ?float  $fuseAmps  rating; null where there is none
     * @param  ?bool  $bonded  its common is bonded to the cabinet; null: as the installation says
     * @param  bool  $aside  brings the thermostat no hot: a humidifier's own, the equipment's behind a zone panel
     * @param  float  $lineVolts  at its primary
     * @param  float  $tapVolts  primary tap in use
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
        public bool $aside = false,
        public float $lineVolts = 120.0,
        public float $tapVolts = 120.0,
    ) {
    }

    /** Where it stands: at the board that it feeds. */
    public function place(): Place
    {
        return At::read($this->hot)->place ?? Place::Indoor;
    }

    /** Volts of this one with no load. */
    public function idle(): float
    {
        return self::idleVolts($this->lineVolts, $this->tapVolts);
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

    /** Primary winding in ohms, power off: its share of the whole, over the square of the turns. */
    public function primaryOhms(): float
    {
        return 0.45 * $this->sourceOhms() * ($this->tapVolts / 24.0) ** 2;
    }

    public function rated(float $va, ?float $fuseAmps): self
    {
        return $this->copy(['ratingVa' => $va, 'fuseAmps' => $fuseAmps]);
    }

    public function fed(float $lineVolts, float $tapVolts): self
    {
        return $this->copy(['lineVolts' => $lineVolts, 'tapVolts' => $tapVolts]);
    }

    public function wired(?bool $bonded, bool $reversed): self
    {
        return $this->copy(['bonded' => $bonded, 'reversed' => $reversed]);
    }
}
