<?php

declare(strict_types=1);

namespace App\Models\Record;

/** What happened to a proving step. */
enum StepMoment: string
{
    case Start = 'start';
    case End = 'end';
}
