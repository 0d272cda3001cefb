<?php

declare(strict_types=1);

namespace App\Models\Work;

/** How far a piece of long work is. */
enum ErrandState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';

    public function isThrough(): bool
    {
        return $this === self::Done || $this === self::Failed;
    }
}
