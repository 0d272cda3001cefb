<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

use App\Backup\Backup;
use App\Backup\Broken;
use App\Backup\Upgrade;
use Illuminate\Console\Command;
use Throwable;

final class UpgradeCommand extends Command
{
    protected $signature = 'unionbit:upgrade {--served : asked by bin/deploy, which says the way back itself}';

    /** Exit code: nothing was changed. */
    private const NOT_BEGUN = 3;

    protected $description = 'Brings the data to this program: maintenance page, backup, migrations, and open again';

    public function handle(Upgrade $upgrade): int
    {
        $backups = config()->string('unionbit.backups');
        try {
            $made = $upgrade->run($backups, now()->utc()->toDateTimeImmutable());
        } catch (Broken $broken) {
            $this->error("No backup could be made, so nothing was changed. {$broken->getMessage()}");

            return self::NOT_BEGUN;
        } catch (Throwable $problem) {
            $all = Backup::all($backups);
            $last = end($all);
            $this->error($problem->getMessage());
            if ((bool) $this->option('served')) {
                return self::FAILURE;
            }
            $this->line('The data could not be brought to this program; the maintenance page stays. The way back:');
            $this->line('  1. the earlier program in its place again, and in it:');
            $this->line("  2. php artisan unionbit:restore {$backups}/{$last} --aside");
            $this->line('  3. php artisan up');

            return self::FAILURE;
        }
        $this->info(
            $made === null ? 'The schema is new; there was nothing to back up.' : "Upgraded. Before it: {$made}",
        );

        return self::SUCCESS;
    }
}
