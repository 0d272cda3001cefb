<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

use App\Crew\Visits;
use App\Errand\Errands;
use App\Health\OldCache;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class TidyCommand extends Command
{
    protected $signature = 'unionbit:tidy';

    protected $description = 'Clears finished long work, ended links and sessions that nobody comes back to';

    public function handle(): int
    {
        $errands = Errands::tidy();
        // What has ended stays so, although the clock is set back.
        foreach (['door_links', 'share_links'] as $table) {
            DB::table($table)
                ->whereNull('revoked_at')
                ->where('ends_at', '<=', now())
                ->update(['revoked_at' => now()]);
        }
        $links = DB::table('door_links')->where('ends_at', '<', now()->subDays(30))->delete();
        $sessions = Visits::tidy(now()->getTimestamp());
        $lines = Visits::tidyRefusals();
        $kept = OldCache::clear(config()->string('cache.stores.file.path'), now()->getTimestamp());
        $this->info(
            "{$errands} errands, {$links} links, {$sessions} sessions, {$lines} refusals and {$kept} kept answers ".
                'cleared.',
        );

        return self::SUCCESS;
    }
}
