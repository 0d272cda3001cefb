<?php

declare(strict_types=1);

namespace App\Plan\Paper;

use App\Words\Words;
use Unionbit\Core\Planning\Paper\CallPath;
use Unionbit\Core\Planning\Paper\PathStep;
use Unionbit\Core\Planning\Plan\Plan;

/** One load with its way out above and its way back beneath, both as carrying. */
final readonly class LoopDrawing
{
    public const HEIGHT = 148;

    private const LEFT = 52;

    private const RIGHT = 700;

    private const CARRYING = '#b3541e';

    public function __construct(private Sheet $sheet, private Plan $plan)
    {
    }

    public function draw(int $y, CallPath $path, string $title): void
    {
        [$top, $bottom] = [$y + 40, $y + 106];
        $this->sheet->text(self::LEFT, $y, self::RIGHT - self::LEFT, 16, $title, 13, true);
        $this->sheet->box(0, $top - 6, 40, $bottom - $top + 12);
        $this->sheet->text(2, $top + 14, 36, 30, $path->supply, 13, true, 'middle');
        foreach ([[$top, $path->out, 1], [$bottom, array_reverse($path->back), -1]] as [$line, $steps, $way]) {
            $this->sheet->line(sprintf('M40 %dH%d', $line, self::RIGHT + 20), self::CARRYING, 3.0);
            Symbols::arrow($this->sheet, self::LEFT - ($way === 1 ? 6 : -2), $line, $way);
            $this->steps($steps, $line);
        }
        Symbols::coil($this->sheet, self::RIGHT + 20, $top, $bottom - $top);
    }

    /** @param  list<PathStep>  $steps */
    private function steps(array $steps, int $y): void
    {
        $cell = (self::RIGHT - self::LEFT - 10) / max(1, count($steps));
        foreach ($steps as $n => $step) {
            $x = self::LEFT + 10 + $cell * ($n + 0.5);
            match ($step->kind) {
                'conductor' => Inks::wire(
                    $this->sheet,
                    $x - $cell / 2,
                    $x + $cell / 2,
                    $y,
                    $this->color($step),
                    5.0,
                ),
                'screw' => Symbols::screw($this->sheet, $x, $y),
                'fuse' => Symbols::fuse($this->sheet, $x, $y),
                'float' => Symbols::float($this->sheet, $x, $y),
                'splice' => Symbols::splice($this->sheet, $x, $y),
                'tie' => Symbols::tie($this->sheet, $x, $y - 4),
                default => Symbols::contact($this->sheet, $x, $y),
            };
            if ($step->kind === 'screw') {
                $place = $step->where === null ? '' : Words::say($step->where);
                $this->sheet->text($x - $cell / 2, $y - 22, $cell, 15, $step->letter, 13, true, 'middle');
                $this->sheet->text($x - $cell / 2, $y + 8, $cell, 26, $place, 10, false, 'middle');
            } else {
                $this->sheet->text(
                    $x - $cell / 2 + 1,
                    $y + 16,
                    $cell - 2,
                    22,
                    $this->short($step),
                    10,
                    false,
                    'middle',
                );
            }
        }
    }

    private function short(PathStep $step): string
    {
        return $step->kind === 'conductor' ? $step->subject : Words::say($step->label);
    }

    private function color(PathStep $step): string
    {
        foreach ($this->plan->installation->cables as $cable) {
            foreach ($cable->conductors as $conductor) {
                if ($conductor->id() === $step->subject) {
                    return $conductor->colour->value;
                }
            }
        }

        return '';
    }
}
