<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

use App\Backup\Backup;
use App\Backup\Broken;
use App\Backup\Keeping;
use App\Backup\Manifest;
use Illuminate\Console\Command;

final class BackupCommand extends Command
{
    protected $signature = <<<'SIGNATURE'
    unionbit:backup
        {--to= : folder of the backups; the setting unionbit.backups where none is given}
        {--keep-all : leave the older ones, whatever the rule says}
    SIGNATURE;

    protected $description = 'A backup while the server is in use: database, photographs, a manifest with sums';

    public function handle(): int
    {
        $root = is_string($this->option('to')) ? $this->option('to') : config()->string('unionbit.backups');
        try {
            $folder = Backup::ofSettings($root)->make(now()->utc()->toDateTimeImmutable());
            $manifest = Manifest::read($folder);
            $outlived = $this->option('keep-all') ? [] : Keeping::tidy($root);
        } catch (Broken $broken) {
            $this->error($broken->getMessage());

            return self::FAILURE;
        }
        $bytes = array_sum(array_column($manifest->files, 'bytes'));
        $this->info(sprintf('%s: %d files, %.1f MB.', $folder, count($manifest->files), $bytes / 1.0e6));
        foreach ($outlived as $name) {
            $this->line("{$name} has outlived the rule and is gone.");
        }
        foreach ($manifest->missing as $path) {
            $this->warn("{$path} is named by the database and not on the disk.");
        }

        return $manifest->missing === [] ? self::SUCCESS : self::FAILURE;
    }
}
