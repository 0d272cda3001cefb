<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// Commands live in app/Console/Commands and register themselves. Here is when they run by themselves.
if (config()->string('unionbit.backup_at') !== '') {
    Schedule::command('unionbit:backup')->dailyAt(config()->string('unionbit.backup_at'))->withoutOverlapping();
}
