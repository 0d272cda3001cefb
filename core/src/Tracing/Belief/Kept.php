<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

/** Where answers of one house and wiring are kept from one trace to the next, so that nothing is solved twice. */
interface Kept
{
    /** @return array<string, array<string, float>> likelihood by fuses open afterwards, by world and open fuses */
    public function of(string $row): array;

    /** @param  array<string, array<string, float>>  $known */
    public function keep(string $row, array $known): void;
}
