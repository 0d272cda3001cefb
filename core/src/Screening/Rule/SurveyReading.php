<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\TerminalName;

/** A volt or ohm reading taken during the survey, between two points of the house as found. */
final readonly class SurveyReading
{
    /** @param  ?float  $value volts AC, or ohms; null is over-limit */
    public function __construct(
        public string $a,
        public string $b,
        public ?float $value,
        public MeterMode $mode = MeterMode::Volts,
    ) {
    }

    /** Whether one of its screws is a hot of this house, however it is printed. */
    public function isFromHot(Installation $house): bool
    {
        return array_any($this->names($house), static fn (TerminalName $n): bool => $n->isHot());
    }

    /** Whether it was taken between a hot and a common, in either order. */
    public function isHotToCommon(Installation $house): bool
    {
        return $this->isFromHot($house) && in_array(TerminalName::C, $this->names($house), true);
    }

    /** @return list<TerminalName> what its screws mean in this house; none for what is no screw */
    private function names(Installation $house): array
    {
        return array_values(array_filter([$house->nameAt(At::read($this->a)), $house->nameAt(At::read($this->b))]));
    }
}
