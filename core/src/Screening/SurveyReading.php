<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening;

/** A volt reading taken during the survey, between two points of the house as found. */
final readonly class SurveyReading
{
    /** @param  float  $value volts AC */
    public function __construct(public string $a, public string $b, public float $value)
    {
    }

    /** Whether it was taken between a hot and the common of one place, in either order. */
    public function isHotToCommon(): bool
    {
        $letters = [explode('.', $this->a)[1] ?? '', explode('.', $this->b)[1] ?? ''];
        $hot = array_intersect($letters, ['R', 'Rc', 'Rh', 'RC', 'RH', 'V', '4']);

        return $hot !== [] && array_intersect($letters, ['C', 'COM', 'X', 'B']) !== [];
    }
}
