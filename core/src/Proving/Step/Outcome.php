<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

/** How a reading or an observation is judged. */
enum Outcome: string
{
    case Pass = 'pass';
    case Fail = 'fail';
    case TooEarly = 'too-early';
    case Neutral = 'neutral';
}
