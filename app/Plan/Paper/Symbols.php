<?php

declare(strict_types=1);

namespace App\Plan\Paper;

/** Parts of a circuit on paper, each 24 wide around its middle. */
final class Symbols
{
    private const HALF = 12;

    public static function splice(Sheet $sheet, float $x, float $y): void
    {
        $sheet->line(sprintf('M%.1F %.1Fl12 14h-24z', $x, $y - 7.0), Sheet::INK, 2.0, '#ffffff');
    }

    /** A switch that water opens: a contact with its float beneath. */
    public static function float(Sheet $sheet, float $x, float $y): void
    {
        self::contact($sheet, $x, $y);
        $sheet->add(
            sprintf(
                '<circle cx="%.1F" cy="%.1F" r="4" fill="#ffffff" stroke="%s" stroke-width="2"/>',
                $x,
                $y + 10.0,
                Sheet::INK,
            ),
        );
    }

    /** A closed contact or switch. */
    public static function contact(Sheet $sheet, float $x, float $y): void
    {
        $sheet->line(sprintf('M%.1F %.1FH%.1F', $x - self::HALF, $y, $x + self::HALF), '#ffffff', 6.0);
        $sheet->line(sprintf('M%.1F %.1Fh5M%.1F %.1Fh-5', $x - self::HALF, $y, $x + self::HALF, $y));
        $sheet->line(sprintf('M%.1F %.1Fl14 -2', $x - 7.0, $y - 1.0));
    }

    public static function fuse(Sheet $sheet, float $x, float $y): void
    {
        $sheet->box($x - 10, $y - 5, 20, 10);
        $sheet->line(sprintf('M%.1F %.1Fh20', $x - 10.0, $y), Sheet::INK, 1.0);
    }

    public static function tie(Sheet $sheet, float $x, float $y): void
    {
        $sheet->line(sprintf('M%.1F %.1Fv-6h16v6', $x - 8.0, $y + 3.0));
    }

    public static function screw(Sheet $sheet, float $x, float $y): void
    {
        $sheet->add(
            sprintf(
                '<circle cx="%.1F" cy="%.1F" r="4" fill="#ffffff" stroke="%s" stroke-width="2"/>',
                $x,
                $y,
                Sheet::INK,
            ),
        );
    }

    /** A coil, or the input of a board. */
    public static function coil(Sheet $sheet, float $x, float $y, float $height): void
    {
        $sheet->line(
            sprintf(
                'M%.1F %.1Fv%.1Fq14 6 0 12q14 6 0 12q14 6 0 12v%.1F',
                $x,
                $y,
                $height / 2 - 18,
                $height / 2 - 18,
            ),
        );
    }

    /** Current goes this way: to the right on the way out, to the left on the way back. */
    public static function arrow(Sheet $sheet, float $x, float $y, int $way): void
    {
        $sheet->line(
            sprintf('M%.1F %.1Fl%d 5l%d 5z', $x, $y - 5.0, 9 * $way, -9 * $way),
            Sheet::INK,
            1.0,
            Sheet::INK,
        );
    }
}
