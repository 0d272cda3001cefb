<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Suggest;

/** Capacity read from the digits of a model number: a suggestion, never a fact. The plate wins. */
final class ModelDigits
{
    /** Nominal sizes in thousands of BTU/h. */
    private const SIZES = [18, 24, 30, 36, 42, 48, 60];

    /** @return list<array{digits: string, tons: float}> */
    public static function suggest(string $model): array
    {
        preg_match_all('/(?<!\d)(0?\d{2})(?!\d)|(?<=\d)?(0\d{2})(?!\d)/', $model, $found);
        $sizes = [];
        foreach ($found[0] as $digits) {
            $thousands = (int) $digits;
            if (in_array($thousands, self::SIZES, true)) {
                $sizes[$thousands] = ['digits' => $digits, 'tons' => $thousands / 12.0];
            }
        }

        return array_values($sizes);
    }
}
