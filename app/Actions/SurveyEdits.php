<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\InvalidData;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SurveyFile;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\ConductorEntry;
use Unionbit\Core\Wiring\EntryProblem;

/** The edits that a survey takes. Each returns what was done in words. */
final class SurveyEdits
{
    public static function parse(Installation $house, string $cableId, string $line): ConductorEntry
    {
        $cable = self::cable($house, $cableId);
        $screws = [Place::Indoor->value => $house->archetype->printedAt(Place::Indoor), Place::Outdoor->value => $house->archetype->printedAt(Place::Outdoor)];

        return ConductorEntry::parse($line, $cable->from, $cable->to, $screws, $house->archetype->reverses);
    }

    public static function addConductor(Job $job, string $cableId, string $line): string
    {
        $house = $job->house()->installation;
        $cable = self::cable($house, $cableId);
        $entry = self::complete($house, $cableId, $line);
        $number = $entry->number ?? 1 + array_reduce($cable->conductors, static fn (int $max, Conductor $c): int => max($max, $c->number), 0);
        if ($cable->conductor($number) !== null) {
            throw ValidationException::withMessages(['line' => "Conductor {$number} is there already: {$cable->conductor($number)->name()}. Leave the number out, or change that one."]);
        }
        $conductor = $entry->toConductor($number);
        self::save($job, $house->withCable($cable->withConductors([...$cable->conductors, $conductor])));

        return "added {$conductor->name()}";
    }

    public static function changeConductor(Job $job, string $cableId, int $number, string $line): string
    {
        $house = $job->house()->installation;
        $cable = self::cable($house, $cableId);
        $old = self::conductor($cable, $number);
        $entry = self::complete($house, $cableId, $line);
        $others = array_filter($cable->conductors, static fn (Conductor $c): bool => $c->number !== $number);
        self::save($job, $house->withCable($cable->withConductors([...$others, $entry->toConductor($number)])));

        return "changed {$old->name()}";
    }

    public static function removeConductor(Job $job, string $cableId, int $number): string
    {
        $house = $job->house()->installation;
        $cable = self::cable($house, $cableId);
        $old = self::conductor($cable, $number);
        self::save($job, $house->withCable($cable->withConductors(array_values(array_filter($cable->conductors, static fn (Conductor $c): bool => $c->number !== $number)))));

        return "removed {$old->name()}";
    }

    /** @param  array<string, mixed>  $facts only those that change */
    public static function setFacts(Job $job, array $facts): string
    {
        $survey = $job->survey;
        $survey['facts'] = [...(is_array($survey['facts'] ?? null) ? $survey['facts'] : []), ...$facts];
        self::read($job, $survey);
        $job->survey = $survey;

        return 'set '.implode(', ', array_keys($facts));
    }

    public static function setCable(Job $job, string $cableId, int $gauge, float $feet): string
    {
        $house = $job->house()->installation;
        $cable = self::cable($house, $cableId);
        self::save($job, $house->withCable(new Cable($cable->id, $cable->from, $cable->to, $gauge, $feet, $cable->conductors)));

        return "cable {$cableId}: {$gauge} AWG, {$feet} ft";
    }

    private static function complete(Installation $house, string $cableId, string $line): ConductorEntry
    {
        $entry = self::parse($house, $cableId, $line);
        if (! $entry->isComplete()) {
            throw ValidationException::withMessages(['line' => array_map(static fn (EntryProblem $p): string => $p->message, $entry->problems)]);
        }

        return $entry;
    }

    private static function cable(Installation $house, string $id): Cable
    {
        return $house->cable($id) ?? throw ValidationException::withMessages(['cable' => "There is no cable {$id} in this survey. Use A for the wall, B for the outdoor unit."]);
    }

    private static function conductor(Cable $cable, int $number): Conductor
    {
        return $cable->conductor($number) ?? throw ValidationException::withMessages(['number' => "There is no conductor {$number} in cable {$cable->id}."]);
    }

    private static function save(Job $job, Installation $house): void
    {
        $survey = SurveyFile::write($house);
        self::read($job, $survey);
        $job->survey = $survey;
    }

    private static function read(Job $job, mixed $survey): void
    {
        try {
            SurveyFile::read($survey, $job->house()->installation->archetype);
        } catch (InvalidData $problem) {
            throw ValidationException::withMessages([basename($problem->pointer) => $problem->getMessage()]);
        }
    }
}
