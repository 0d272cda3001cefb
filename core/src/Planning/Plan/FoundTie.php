<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Wiring\Jumper;

/** A tie that the survey found, as it stands when the work is done, and why. */
final readonly class FoundTie
{
    /** @param  ?Jumper  $stands  in the landing; null where the plan takes it out */
    public function __construct(public Jumper $found, public ?Jumper $stands, public TieFate $fate)
    {
    }
}
