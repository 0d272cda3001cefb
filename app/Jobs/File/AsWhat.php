<?php

declare(strict_types=1);

namespace App\Jobs\File;

/** How a file comes in whose job the crew has already. */
enum AsWhat: string
{
    /** Nobody has said: it is asked, and nothing is written. */
    case Ask = 'ask';
    /** Another job beside it, as a file of a job that is not here makes one. */
    case Copy = 'copy';
    /** The records that the job here has not, behind its own. Survey and plan stay as they are here. */
    case Difference = 'difference';
}
