<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Words\Message;

/** One thing that makes a conductor unfit to carry anything, with the rule that says so. */
final readonly class Damage
{
    /** @param  string  $code  MR21 known damage, MR22 out of ohms, MR24 it touches the cabinet */
    public function __construct(public string $code, public Message $says)
    {
    }
}
