<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\Catalog;
use Illuminate\Console\Command;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\Simulation;

final class ExampleCommand extends Command
{
    protected $signature = <<<'SIGNATURE'
    unionbit:example
        {archetype : an example of the catalog, or units with options: furnace:stages=2+condenser}
        {--thermostat= : one of the catalog; without it one that the equipment can power}
    SIGNATURE;

    protected $description = 'A plain house of an archetype as a job file, wired letter to letter';

    public function handle(Catalog $catalog): int
    {
        $units = (string) $this->argument('archetype');
        $shelf = $catalog->shelf();
        $named = $catalog->houses()[$units] ?? null;
        if ($named === null && ! $shelf->knows($units)) {
            return $this->unknown('equipment', $units, [
                ...$shelf->ids(),
                ...array_keys($catalog->houses()),
                ...array_keys($shelf->units),
            ]);
        }
        $house = $catalog->example($units);
        $thermostat = (string) ($this->option('thermostat') ?? $catalog->exampleThermostat($house));
        if (! in_array($thermostat, $catalog->ids('thermostats'), true)) {
            return $this->unknown(
                'thermostats',
                (string) $this->option('thermostat'),
                $catalog->ids('thermostats'),
            );
        }
        $profile = $catalog->profile($thermostat);
        $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
        // Where letter to letter does not prove every call, the first way out that does.
        if (! self::provesAll($plan)) {
            $offers = array_filter(
                Planner::of($house, $profile)->offered,
                static fn (PlanOffer $offer): bool => self::provesAll($offer->plan),
            );
            $plan = array_values($offers)[0]->plan ?? $plan;
        }
        $file = JobFile::write(
            'Example: '.($named?->string('title') ?? $house->archetype->short),
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

    private static function provesAll(Plan $plan): bool
    {
        return array_filter(Simulation::prove($plan), static fn (CallProof $proof): bool => ! $proof->isProved()) ===
            [];
    }

    /** @param  list<string>  $allowed */
    private function unknown(string $kind, string $given, array $allowed): int
    {
        $this->output
            ->getErrorStyle()
            ->writeln("There is no {$kind} {$given}; allowed: ".implode(', ', $allowed));

        return JobCommand::UNUSABLE;
    }
}
