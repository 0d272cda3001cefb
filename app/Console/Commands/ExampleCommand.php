<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\Catalog;
use Illuminate\Console\Command;
use Unionbit\Core\Job\ExampleHouse;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Planning\Offer\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;

final class ExampleCommand extends Command
{
    protected $signature = <<<'SIGNATURE'
    unionbit:example
        {archetype : an archetype of the catalogue}
        {--thermostat=c-powered-3h-2c}
    SIGNATURE;

    protected $description = 'A plain house of an archetype as a job file, wired letter to letter';

    public function handle(Catalog $catalog): int
    {
        foreach (
            ['equipment' => $this->argument('archetype'), 'thermostats' => $this->option('thermostat')] as $kind => $id
        ) {
            if (! in_array($id, $catalog->ids($kind), true)) {
                $this->output
                    ->getErrorStyle()
                    ->writeln(
                        "There is no {$kind} ".
                            (is_string($id) ? $id : '').
                            '; allowed: '.
                            implode(', ', $catalog->ids($kind)),
                    );

                return JobCommand::UNUSABLE;
            }
        }
        $house = ExampleHouse::of($catalog->archetype((string) $this->argument('archetype')));
        $profile = $catalog->profile((string) $this->option('thermostat'));
        $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
        $file = JobFile::write(
            'Example: '.$house->archetype->short,
            'Saltmarsh Locks',
            'replacement',
            $house,
            $plan,
        );
        $this->output->writeln(
            json_encode(
                $file,
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            ),
        );

        return JobCommand::ANSWERED;
    }
}
