<?php

declare(strict_types=1);

namespace App\Console\Commands\Server;

use App\Errand\CutOff;
use Illuminate\Console\Command;

final class TakeUpCommand extends Command
{
    protected $signature = 'unionbit:take-up';

    protected $description = 'Begins long work anew whose worker ended in the middle of it';

    public function handle(): int
    {
        $this->info(CutOff::takeUp().' pieces of work taken up.');

        return self::SUCCESS;
    }
}
