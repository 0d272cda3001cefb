<?php

declare(strict_types=1);

namespace App\Trace\Book;

use Illuminate\Support\Carbon;
use Unionbit\Core\Data\Copies;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Record\Row;

/** One row of a trace as it is shown: what was done, where, and what it moved. */
final readonly class TraceLine
{
    use Copies;

    /**
     * @param  ?Row  $row  null where this house can no longer take it
     * @param  bool  $found  it stood in Prove when the fault was opened
     * @param  array<string, float>  $before  share of each repair before it, and after it
     * @param  array<string, float>  $after
     */
    public function __construct(
        public int $number,
        public string $id,
        public Carbon $at,
        public ?Row $row,
        public bool $found = false,
        public array $before = [],
        public array $after = [],
        public ?Place $place = null,
        public bool $isWithdrawn = false,
    ) {
    }

    public static function unusable(int $number, string $id, Carbon $at): self
    {
        return new self($number, $id, $at, null);
    }

    public function withdrawn(): self
    {
        return $this->copy(['isWithdrawn' => true]);
    }

    /** @return ?array{string, float, float} the repair that it moved most, with its shares; null where none by much */
    public function moved(): ?array
    {
        $best = null;
        $most = 0.02;
        foreach ($this->before + $this->after as $id => $_) {
            $from = $this->before[$id] ?? 0.0;
            $to = $this->after[$id] ?? 0.0;
            if (abs($to - $from) > $most) {
                $most = abs($to - $from);
                $best = [(string) $id, $from, $to];
            }
        }

        return $best;
    }
}
