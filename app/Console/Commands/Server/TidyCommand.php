<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

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
        $links = DB::table('door_links')->where('ends_at', '<', now()->subDays(30))->delete();
        $sessions = DB::table('sessions')
            ->where('last_activity', '<', now()->getTimestamp() - 60 * config()->integer('session.lifetime'))
            ->delete();
        $kept = OldCache::clear(config()->string('cache.stores.file.path'), now()->getTimestamp());
        $this->info("{$errands} errands, {$links} links, {$sessions} sessions and {$kept} kept answers cleared.");

        return self::SUCCESS;
    }
}
