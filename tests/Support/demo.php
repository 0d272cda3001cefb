<?php

declare(strict_types=1);

use App\Models\Crew\User;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * The demo data as the seeder makes it. Its work is done once for all tests of a day; in the others its rows are put in
 * as they were.
 */
function seedDemo(): void
{
    static $day = '';
    static $kept = [];
    $plain = DB::getDriverName() === 'sqlite' && ! Carbon::hasTestNow() && ! User::query()->exists();
    if (! $plain || $day !== Carbon::now()->toDateString()) {
        test()->seed(DatabaseSeeder::class);
        if ($plain) {
            $kept = array_filter(everyRow(), static fn (array $rows): bool => $rows !== []);
            unset($kept['migrations']);
            $day = Carbon::now()->toDateString();
        }

        return;
    }
    DB::transaction(static function () use ($kept): void {
        DB::statement('pragma defer_foreign_keys = on');
        foreach ($kept as $table => $rows) {
            foreach (array_chunk($rows, 50) as $some) {
                DB::table($table)->insert($some);
            }
        }
    });
}
