<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule;

use Unionbit\Core\Circuit\Meter\MeterMode;

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

    public function isFromHot(): bool
    {
        return array_intersect(
            [explode('.', $this->a)[1] ?? '', explode('.', $this->b)[1] ?? ''],
            ['R', 'Rc', 'Rh', 'RC', 'RH', 'V', '4'],
        ) !== [];
    }

    /** Whether it was taken between a hot and the common of one place, in either order. */
    public function isHotToCommon(): bool
    {
        $letters = [explode('.', $this->a)[1] ?? '', explode('.', $this->b)[1] ?? ''];
        $hot = array_intersect($letters, ['R', 'Rc', 'Rh', 'RC', 'RH', 'V', '4']);

        return $hot !== [] && array_intersect($letters, ['C', 'COM', 'X', 'B']) !== [];
    }
}
