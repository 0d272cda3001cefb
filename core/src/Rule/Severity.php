<?php

declare(strict_types=1);

namespace Unionbit\Core\Rule;

/** How grave a finding is. A stop ends the plan; an error must be corrected; the rest is to be read. */
enum Severity: string
{
    case Stop = 'stop';
    case Error = 'error';
    case Warning = 'warning';
    case Note = 'note';
    case Good = 'good';

    public function blocks(): bool
    {
        return $this === self::Stop || $this === self::Error;
    }
}
