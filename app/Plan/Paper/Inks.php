<?php

declare(strict_types=1);

namespace App\Plan\Paper;

/** The insulation colors of conductors on paper. */
final class Inks
{
    private const COLORS = [
        'red' => '#c62f2b',
        'white' => '#ffffff',
        'green' => '#2d8a4e',
        'yellow' => '#e8c21d',
        'blue' => '#2b5fc6',
        'orange' => '#e8791d',
        'brown' => '#7a4a26',
        'black' => '#222222',
        'pink' => '#e89ab0',
        'tan' => '#c9a877',
        'grey' => '#8a8f8d',
        'purple' => '#7a4fa3',
    ];

    public static function of(string $color): string
    {
        return self::COLORS[$color] ?? '#999999';
    }

    /** A conductor from x to x at this height: its color in an outline. */
    public static function wire(
        Sheet $sheet,
        float $from,
        float $to,
        float $y,
        string $color,
        float $width = 6.0,
    ): void {
        $path = sprintf('M%.1F %.1FH%.1F', $from, $y, $to);
        $sheet->line($path, Sheet::INK, $width + 3.0);
        $sheet->line($path, self::of($color), $width);
    }
}
