<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/** A setting with something to do beside entering it: how to provoke it, what to go through before it is done. */
interface HasSteps extends Setting
{
    /** @return list<Message> */
    public function steps(Plan $plan): array;
}
