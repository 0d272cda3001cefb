<?php

declare(strict_types=1);

namespace App\Backup;

use DateTimeImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;
use Throwable;

/**
 * Brings the database to the schema of this program: a backup first, then the migrations, behind the page that says so.
 * Where they fail the page stays, and the backup is the way back.
 */
final readonly class Upgrade
{
    public function __construct(private Kernel $artisan)
    {
    }

    /**
     * @return ?string the backup that was made; null where there was nothing to lose
     *
     * @throws Broken where no backup could be made: then nothing was changed, and the application answers again
     */
    public function run(string $backups, DateTimeImmutable $now): ?string
    {
        $this->artisan->call('down', ['--render' => 'maintenance', '--retry' => 20]);
        try {
            $made =
                Schema::hasTable('users') && DB::table('users')->exists()
                    ? Backup::ofSettings($backups)->make($now)
                    : null;
        } catch (Throwable $problem) {
            $this->artisan->call('up');
            throw $problem;
        }
        if ($this->artisan->call('migrate', ['--force' => true]) !== 0) {
            throw new RuntimeException($this->artisan->output());
        }
        $this->artisan->call('up');

        return $made;
    }
}
