<?php

declare(strict_types=1);

namespace App\Trace\Book;

use App\House\House;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tracing\Belief\Kept;

/** How likely a row is in each world of a house, kept by the sum of its wiring: a page replays and solves nothing. */
final readonly class KeptRows implements Kept
{
    private const A_WEEK = 7 * 24 * 3600;

    private string $house;

    public function __construct(Plan $plan)
    {
        $this->house = House::key($plan);
    }

    public function of(string $row): array
    {
        $kept = Cache::get("trace-row/{$this->house}/{$row}");
        $known = [];
        foreach (is_array($kept) ? $kept : [] as $world => $after) {
            foreach (is_array($after) ? $after : [] as $open => $likelihood) {
                $known[(string) $world][(string) $open] = is_float($likelihood) ? $likelihood : 0.0;
            }
        }

        return $known;
    }

    public function keep(string $row, array $known): void
    {
        Cache::put("trace-row/{$this->house}/{$row}", $known, self::A_WEEK);
    }
}
