<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/**
 * A setting that is in no thermostat's menu: at the equipment's board, in the battery tray, with the customer's phone.
 */
interface OwnChoices extends Setting
{
    /** @return array<string, Message> what can be entered, with the words for it */
    public function choices(Plan $plan): array;

    /** Whether another choice than the derived one is as right. */
    public function accepts(string $choice): bool;

    /** Whether the work is not done before it is entered. */
    public function isRequired(): bool;

    /** Where it is set. */
    public function where(): Message;
}
