<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Rule\Finding;

/** One mapping rule: what is wrong, or worth knowing, about where conductors land. */
interface MappingRule
{
    /** @return list<Finding> */
    public function check(Plan $plan): array;
}
