<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/**
 * One setting that an installer enters in a thermostat's menu: what it must be for a plan, what its choices are called,
 * why, and what would be seen with another choice. Adding a setting is a class, its key and its words.
 */
interface Setting
{
    public function key(): SettingKey;

    /** What it must be; null where the house does not ask for it. */
    public function value(Plan $plan): ?string;

    /** A choice in the trade's words. */
    public function choice(string $choice): Message;

    /** Why it is this value in this house. */
    public function reason(Plan $plan, string $value): Message;
}
