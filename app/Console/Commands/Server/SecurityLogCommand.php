<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class SecurityLogCommand extends Command
{
    protected $signature = 'unionbit:security-log {--most=200 : lines, the latest first} {--kind= : one kind only}';

    protected $description = 'The security log as JSON lines: sign-ins, refusals, exports, changes of crew';

    public function handle(): int
    {
        $rows = DB::table('security_events')->orderByDesc('id')->limit(max(1, (int) $this->option('most')));
        $kind = $this->option('kind');
        foreach (($kind === null ? $rows : $rows->where('kind', $kind))->get() as $row) {
            $this->line((string) json_encode($row, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
        }

        return self::SUCCESS;
    }
}
