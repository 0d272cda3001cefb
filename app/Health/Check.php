<?php

declare(strict_types=1);

namespace App\Health;

/** One thing that was looked at. */
final readonly class Check
{
    /** @param  string  $says  what was found, and where it is not well what to do */
    public function __construct(public string $name, public bool $well, public string $says)
    {
    }
}
