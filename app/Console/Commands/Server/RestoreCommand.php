<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

use App\Backup\Broken;
use App\Backup\Restore;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class RestoreCommand extends Command
{
    protected $signature = <<<'SIGNATURE'
    unionbit:restore
        {folder : one backup, as unionbit:backup made it}
        {--key= : file of the key that the backup is sealed to}
        {--aside : where a crew is here already, put its database aside first}
    SIGNATURE;

    protected $description = 'Puts a backup on a machine that has no crew yet, checked against its sums first';

    public function handle(): int
    {
        try {
            $database = config()->string('database.connections.'.DB::getDefaultConnection().'.database');
            $key = $this->option('key');
            $restore = new Restore((string) $this->argument('folder'), is_string($key) ? $key : null);
            $photographs = $restore->run($database, (bool) $this->option('aside'));
        } catch (Broken $broken) {
            $this->error($broken->getMessage());

            return self::FAILURE;
        }
        $this->info("Restored: the database and {$photographs} photographs.");

        return self::SUCCESS;
    }
}
