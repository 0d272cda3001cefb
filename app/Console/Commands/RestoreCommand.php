<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Broken;
use App\Backup\Restore;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class RestoreCommand extends Command
{
    protected $signature = 'unionbit:restore {folder : one backup, as unionbit:backup made it}';

    protected $description = 'Puts a backup on a machine that has no crew yet, checked against its sums first';

    public function handle(): int
    {
        try {
            $database = config()->string('database.connections.'.DB::getDefaultConnection().'.database');
            $photographs = (new Restore((string) $this->argument('folder')))->run($database);
        } catch (Broken $broken) {
            $this->error($broken->getMessage());

            return self::FAILURE;
        }
        $this->info("Restored: the database and {$photographs} photographs.");

        return self::SUCCESS;
    }
}
