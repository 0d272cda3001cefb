<?php

declare(strict_types=1);

namespace App\Plan;

use App\Words\Words;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Work\WiringTable;
use Unionbit\Core\Words\Message;

/** The wiring of a plan as SVG for paper: a drawing from board to wall, and a sheet of conductor labels. */
final class WiringDrawing
{
    private const INK = '#16211f';

    private const COLOURS = [
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

    private const ROW = 34;

    public static function wiring(Plan $plan, string $site): string
    {
        $rows = self::rows($plan);
        $height = 96 + self::ROW * count($rows);
        $svg = [
            self::text(24, 34, $site, 20, true),
            self::text(
                24,
                56,
                $plan->installation->archetype->title.' · '.Words::say($plan->profile->title),
                13,
            ),
            self::text(24, 82, Words::of('plan.drawing.board'), 13, true),
            self::text(600, 82, Words::of('plan.drawing.wall'), 13, true),
        ];
        foreach ($rows as $index => $row) {
            $y = 102 + self::ROW * $index;
            if ($row['cable'] === '') {
                $svg[] = self::text(
                    24,
                    $y + 4,
                    trim("{$row['board']} {$row['wall']}: {$row['meaning']}"),
                    13,
                    true,
                );

                continue;
            }
            $colour = explode('/', $row['colour'])[0];
            $svg[] = self::text(24, $y + 4, $row['board'], 15, true);
            $svg[] = sprintf(
                '<path d="M110 %1$dH560" stroke="%2$s" stroke-width="9"/>'.
                    '<path d="M110 %1$dH560" stroke="%3$s" stroke-width="6"/>',
                $y,
                self::INK,
                self::COLOURS[$colour] ?? '#999999',
            );
            $svg[] =
                sprintf(
                    '<rect x="238" y="%d" width="196" height="18" fill="#ffffff" stroke="%s"/>',
                    $y - 9,
                    self::INK,
                ).
                self::text(246, $y + 5, "{$row['cable']}{$row['number']} {$row['colour']} · {$row['meaning']}", 12);
            $svg[] = self::text(
                600,
                $y + 4,
                $row['cable'] === 'B'
                    ? Words::say(Message::of('plan.drawing.outdoor', board: $row['board']))
                    : $row['wall'],
                15,
                true,
            );
            if ($row['cable'] === 'A' && $row['wall_before'] !== $row['wall']) {
                $svg[] = self::text(
                    680,
                    $y + 4,
                    Words::say(Message::of('plan.drawing.was', screw: $row['wall_before'])),
                    12,
                );
            }
        }

        return self::sheet(800, $height, implode("\n", $svg));
    }

    /** Two flags for each landed conductor, one for each end, three across, to be cut and wrapped. */
    public static function labels(Plan $plan, string $site): string
    {
        $cells = [];
        foreach (self::rows($plan) as $row) {
            if ($row['cable'] === 'A') {
                array_push(
                    $cells,
                    [$row['wall'], "{$row['cable']}{$row['number']} {$row['colour']}", 'wall'],
                    [$row['board'], "{$row['cable']}{$row['number']} {$row['colour']}", 'board'],
                );
            }
        }
        $svg = [self::text(20, 26, Words::say(Message::of('plan.drawing.cut', site: $site)), 12)];
        foreach ($cells as $index => [$letter, $name, $end]) {
            [$x, $y] = [20 + 190 * ($index % 4), 40 + 66 * intdiv($index, 4)];
            $svg[] =
                sprintf(
                    '<rect x="%d" y="%d" width="182" height="58" fill="#ffffff" stroke="%s" stroke-dasharray="4 3"/>',
                    $x,
                    $y,
                    self::INK,
                ).
                self::text($x + 10, $y + 36, $letter, 26, true).
                self::text($x + 90, $y + 25, $name, 12).
                self::text($x + 90, $y + 44, Words::of("plan.drawing.{$end}-end"), 12);
        }

        return self::sheet(800, 60 + 66 * (int) ceil(count($cells) / 4), implode("\n", $svg));
    }

    /** @return list<array<string, string>> */
    private static function rows(Plan $plan): array
    {
        return array_map(
            static fn (array $row): array => array_map(
                static fn (string|Message $cell): string => is_string($cell) ? $cell : Words::say($cell),
                $row,
            ),
            WiringTable::rows($plan),
        );
    }

    private static function text(int $x, int $y, string $text, int $size, bool $bold = false): string
    {
        return sprintf(
            '<text x="%d" y="%d" font-size="%d" font-weight="%d" fill="%s">%s</text>',
            $x,
            $y,
            $size,
            $bold ? 700 : 400,
            self::INK,
            htmlspecialchars($text, ENT_XML1),
        );
    }

    private static function sheet(int $width, int $height, string $content): string
    {
        return <<<SVG
        <svg xmlns="http://www.w3.org/2000/svg" width="{$width}" height="{$height}"
            viewBox="0 0 {$width} {$height}" font-family="sans-serif">
        <rect width="{$width}" height="{$height}" fill="#ffffff"/>
        {$content}
        </svg>

        SVG;
    }
}
