<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\JobFiles;
use App\Words\Words;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\Simulation;

final class CallsCommand extends JobCommand
{
    protected $signature = 'unionbit:calls {job : a job file} {--table : a readable table instead of JSON}';

    protected $description = 'Every call of a house: what closes, what pulls in, whether it is proved by simulation';

    protected function answer(JobFile $job, JobFiles $files): int
    {
        $proofs = Simulation::prove($this->plan($job));
        if ($this->option('table')) {
            $this->table(
                ['call', 'closes', 'pulls in', 'A', 'proved'],
                array_map(
                    static fn (CallProof $p): array => [
                        $p->call->value,
                        implode(' ', $p->closes),
                        implode(', ', Words::each($p->pulledIn)),
                        number_format($p->amps, 2),
                        $p->isProved() ? 'yes' : implode(' ', Words::each($p->problems)),
                    ],
                    $proofs,
                ),
            );
        } else {
            $this->json(array_map(static fn (CallProof $p): array => $p->toArray(), $proofs));
        }

        return array_filter($proofs, static fn (CallProof $p): bool => ! $p->isProved()) === []
            ? self::ANSWERED
            : self::NO;
    }
}
