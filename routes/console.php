<?php

declare(strict_types=1);

use App\Health\Beat;
use Illuminate\Support\Facades\Schedule;

// Commands live in app/Console/Commands and register themselves. Here is when they run by themselves.
if (config()->string('unionbit.backup_at') !== '') {
    Schedule::command('unionbit:backup')->dailyAt(config()->string('unionbit.backup_at'))->withoutOverlapping();
}
Schedule::command('unionbit:tidy')->hourly()->withoutOverlapping();
// What was cut off goes on: the worker sees to it too, but it may be what was cut off.
Schedule::command('unionbit:take-up')->everyMinute();
// Says that the scheduler is at work: the health page looks for it.
Schedule::call(static fn () => Beat::of('scheduler'))->everyMinute();
