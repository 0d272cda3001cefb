<?php

declare(strict_types=1);

namespace App\Models\Kind;

/** What a row of a trace says. */
enum TraceMoment: string
{
    /** A fault is opened: complaint, history, where the person stands. */
    case Open = 'open';
    case Test = 'test';
    case Event = 'event';
    case Withdraw = 'withdraw';
    /** The fault is put away, found or not. */
    case Close = 'close';
}
