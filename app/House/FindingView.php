<?php

declare(strict_types=1);

namespace App\House;

use Unionbit\Core\Rule\Finding;

/** Findings of the rules, as the screen reads them. */
final class FindingView
{
    /**
     * @param  list<Finding>  $findings
     * @return list<array<string, mixed>>
     */
    public static function all(array $findings): array
    {
        return array_map(static fn (Finding $f): array => $f->toArray(), $findings);
    }
}
