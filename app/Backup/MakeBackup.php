<?php

declare(strict_types=1);

namespace App\Backup;

use App\Errand\Runs;
use App\Models\Work\Errand;

/** A backup that a lead asked for. Where it stands is a matter of whoever runs the server: it cannot be fetched. */
final class MakeBackup implements Runs
{
    public static function kind(): string
    {
        return 'backup';
    }

    public function run(Errand $errand): array
    {
        $root = config()->string('unionbit.backups');
        $folder = Backup::ofSettings()->make(now()->utc()->toDateTimeImmutable(), $errand->tell(...));
        $manifest = Manifest::read($folder);
        Keeping::tidy($root);

        return [
            'name' => basename($folder),
            'at' => $manifest->made,
            'bytes' => array_sum(array_column($manifest->files, 'bytes')),
            'missing' => count($manifest->missing),
        ];
    }
}
