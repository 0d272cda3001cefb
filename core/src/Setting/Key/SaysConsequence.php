<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/** A setting that says itself what another choice would do, asked of the figures or of the house. */
interface SaysConsequence extends Setting
{
    /** What the installer would see with another choice. */
    public function consequence(Plan $plan, string $choice): Message;
}
