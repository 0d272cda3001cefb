<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Wiring\Cable;

/** What a plan changes in the house besides the landing: a new wall cable pulled, a float switch moved. */
final readonly class Changes
{
    /** @param  ?list<SafetyDevice>  $safety  all of the house's devices, where one of them is moved */
    public function __construct(public ?Cable $pulled = null, public ?array $safety = null)
    {
    }

    public function isNone(): bool
    {
        return $this->pulled === null && $this->safety === null;
    }

    public function applied(Installation $house): Installation
    {
        $house = $this->pulled === null ? $house : $house->withCable($this->pulled);

        return $this->safety === null ? $house : $house->withFacts($house->facts->withSafety($this->safety));
    }
}
