<?php

declare(strict_types=1);

namespace App\Plan\Paper;

/**
 * Pages of a drawing that print on A4 and on Letter alike: 190 by 250 mm, the part that both have inside 10 mm of
 * margin, in quarter millimeters. Text goes into boxes: it is broken, then set smaller, and never leaves them.
 */
final class Sheet
{
    public const WIDTH = 760;

    public const HEIGHT = 1000;

    public const INK = '#16211f';

    private const SMALLEST = 7.0;

    /** Letters stand a little over their line. */
    private const TOP = 6;

    /** @var list<list<string>> */
    private array $pages = [[]];

    private int $y = self::TOP;

    /** The place for a block of this height, on a new page where this one has no room. */
    public function take(int $height): int
    {
        if ($this->y + $height > self::HEIGHT && $this->y > self::TOP) {
            $this->pages[] = [];
            $this->y = self::TOP;
        }
        $at = $this->y;
        $this->y += $height;

        return $at;
    }

    public function add(string $svg): void
    {
        $this->pages[count($this->pages) - 1][] = $svg;
    }

    /** Text in a box: its first line's top at y, as many lines as the height takes. */
    public function text(
        float $x,
        float $y,
        float $width,
        float $height,
        string $text,
        float $size,
        bool $bold = false,
        string $anchor = 'start',
    ): void {
        if (trim($text) === '') {
            return;
        }
        [$lines, $set] = self::fitted($text, $width, $height, $size, $bold);
        foreach ($lines as $n => $line) {
            $this->add(
                sprintf(
                    '<text x="%s" y="%s" font-size="%s" font-weight="%d" text-anchor="%s" fill="%s">%s</text>',
                    self::number($x + ['start' => 0.0, 'middle' => $width / 2.0, 'end' => $width][$anchor]),
                    self::number($y + $set * (0.85 + 1.15 * $n)),
                    self::number($set),
                    $bold ? 700 : 400,
                    $anchor,
                    self::INK,
                    htmlspecialchars($line, ENT_XML1),
                ),
            );
        }
    }

    public function line(string $path, string $stroke = self::INK, float $width = 2.0, string $fill = 'none'): void
    {
        $this->add(
            sprintf(
                '<path d="%s" stroke="%s" stroke-width="%s" fill="%s"/>',
                $path,
                $stroke,
                self::number($width),
                $fill,
            ),
        );
    }

    public function box(float $x, float $y, float $width, float $height, bool $dashed = false): void
    {
        $this->add(
            sprintf(
                '<rect x="%s" y="%s" width="%s" height="%s" fill="#ffffff" stroke="%s"%s/>',
                self::number($x),
                self::number($y),
                self::number($width),
                self::number($height),
                self::INK,
                $dashed ? ' stroke-dasharray="4 3"' : '',
            ),
        );
    }

    /** All pages under each other, as one drawing. */
    public function svg(): string
    {
        $height = self::HEIGHT * count($this->pages);
        $groups = [];
        foreach ($this->pages as $n => $marks) {
            $groups[] = sprintf('<g transform="translate(0 %d)">', $n * self::HEIGHT);
            array_push($groups, ...$marks);
            $groups[] = '</g>';
        }
        $content = implode("\n", $groups);
        [$width, $mm] = [self::WIDTH, $height / 4];

        return <<<SVG
        <svg xmlns="http://www.w3.org/2000/svg" width="190mm" height="{$mm}mm"
            viewBox="0 0 {$width} {$height}" font-family="sans-serif">
        <rect width="{$width}" height="{$height}" fill="#ffffff"/>
        {$content}
        </svg>

        SVG;
    }

    /**
     * The lines of a text and the size at which they fit.
     *
     * @return array{list<string>, float}
     */
    private static function fitted(string $text, float $width, float $height, float $size, bool $bold): array
    {
        for ($set = $size; $set > self::SMALLEST; $set -= 0.5) {
            $lines = self::broken($text, $width, $set, $bold);
            if ($lines !== null && count($lines) * 1.15 * $set <= $height + 0.15 * $set) {
                return [$lines, $set];
            }
        }
        $most = max(1, (int) floor(($height + 0.15 * self::SMALLEST) / (1.15 * self::SMALLEST)));
        $cut = [];
        $line = '';
        foreach (mb_str_split($text) as $letter) {
            if (self::wide($line.$letter.'…', self::SMALLEST, $bold) > $width) {
                if (count($cut) === $most - 1) {
                    $line .= '…';
                    break;
                }
                $cut[] = $line;
                $line = '';
            }
            $line .= $letter;
        }

        return [[...$cut, $line], self::SMALLEST];
    }

    /** @return ?list<string> broken between words; null where a word is wider than the box */
    private static function broken(string $text, float $width, float $size, bool $bold): ?array
    {
        $lines = [];
        $line = '';
        foreach (explode(' ', $text) as $word) {
            if (self::wide($word, $size, $bold) > $width) {
                return null;
            }
            $longer = $line === '' ? $word : "{$line} {$word}";
            if (self::wide($longer, $size, $bold) > $width) {
                $lines[] = $line;
                $longer = $word;
            }
            $line = $longer;
        }

        return [...$lines, $line];
    }

    /** How wide a text can become at most, in whatever plain face the reader has. */
    private static function wide(string $text, float $size, bool $bold): float
    {
        $em = 0.0;
        foreach (mb_str_split($text) as $letter) {
            $em += match (true) {
                str_contains("iljtfr.,:;|'’ ()[]-", $letter) => 0.42,
                str_contains('mwMW@%—…', $letter) => 1.0,
                mb_strtoupper($letter) === $letter && mb_strtolower($letter) !== $letter => 0.76,
                mb_ord($letter) > 0x2E7F => 1.1,
                default => 0.66,
            };
        }

        return $em * $size * ($bold ? 1.08 : 1.0);
    }

    private static function number(float $value): string
    {
        return rtrim(rtrim(sprintf('%.1F', $value), '0'), '.');
    }
}
