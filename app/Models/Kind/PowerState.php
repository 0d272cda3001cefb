<?php

declare(strict_types=1);

namespace App\Models\Kind;

/** What the power flag says of the 24 V of a house. */
enum PowerState: string
{
    case Live = 'live';
    case Isolated = 'isolated';
    case NotProved = 'not-proved';
}
