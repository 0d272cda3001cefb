<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Landing;

/** A thermostat for this house and where every conductor lands on it. */
final readonly class Plan
{
    public function __construct(
        public Installation $installation,
        public Profile $profile,
        public Landing $landing,
    ) {
    }

    public function circuit(): Circuit
    {
        return new Circuit($this->installation, $this->profile, $this->landing);
    }

    public function transformers(): int
    {
        return count($this->installation->archetype->transformers);
    }
}
