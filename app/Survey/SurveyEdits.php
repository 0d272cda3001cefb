<?php

declare(strict_types=1);

namespace App\Survey;

use App\House\Catalog;
use App\House\House;
use App\House\SurveyReadings;
use App\Models\Job;
use App\Models\User;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\File\ConductorSchedule;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
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
        $screws = $house->equipmentSeen()
            ? [
                Place::Indoor->value => $house->archetype->printedAt(Place::Indoor),
                Place::Outdoor->value => $house->archetype->printedAt(Place::Outdoor),
            ]
            : [];

        return ConductorEntry::parse($line, $cable->from, $cable->to, $screws, $house->archetype->reverses);
    }

    public static function addConductor(Job $job, string $cableId, string $line): string
    {
        $house = House::of($job)->installation;
        $cable = self::cable($house, $cableId);
        $entry = self::complete($house, $cableId, $line);
        $number =
            $entry->number ??
            1 + array_reduce($cable->conductors, static fn (int $max, Conductor $c): int => max($max, $c->number), 0);
        if ($cable->conductor($number) !== null) {
            throw ValidationException::withMessages([
                'line' => "Conductor {$number} is there already: {$cable->conductor(
                    $number,
                )->name()}. Leave the number out, or change that one.",
            ]);
        }
        $conductor = $entry->toConductor($number);
        self::save($job, $house->withCable($cable->withConductors([...$cable->conductors, $conductor])));

        return "added {$conductor->name()}";
    }

    /**
     * Several lines at once: all of them, or none with every line's problem told.
     *
     * @param  list<string>  $lines
     */
    public static function addConductors(Job $job, string $cableId, array $lines): string
    {
        $house = House::of($job)->installation;
        $cable = self::cable($house, $cableId);
        $conductors = $cable->conductors;
        $problems = [];
        foreach ($lines as $index => $line) {
            $entry = self::parse($house, $cableId, $line);
            $numbers = array_map(static fn (Conductor $c): int => $c->number, $conductors);
            $number = $entry->number ?? 1 + max([0, ...$numbers]);
            if (! $entry->isComplete()) {
                array_push(
                    $problems,
                    ...array_map(
                        static fn (EntryProblem $p): string => 'Line '.($index + 1).": {$p->message}",
                        $entry->problems,
                    ),
                );
            } elseif (in_array($number, $numbers, true) || $number > SurveyFile::MOST_CONDUCTORS) {
                $problems[] = 'Line '.($index + 1).": conductor {$number} is there already, or past 50.";
            } else {
                $conductors[] = $entry->toConductor($number);
            }
        }
        if ($problems !== []) {
            throw ValidationException::withMessages(['lines' => $problems]);
        }
        self::save($job, $house->withCable($cable->withConductors($conductors)));

        return 'added '.count($lines).' conductors';
    }

    /** The conductors of a schedule instead of those that are there. */
    public static function readSchedule(Job $job, string $csv): string
    {
        try {
            $house = ConductorSchedule::read(Schedule::rows($csv), House::of($job)->installation);
        } catch (InvalidData $problem) {
            throw ValidationException::withMessages(['csv' => 'Row'.str_replace('/', ' ', $problem->getMessage())]);
        }
        self::save($job, $house);

        return 'read a conductor schedule of '.
            array_sum(array_map(static fn (Cable $c): int => count($c->conductors), $house->cables)).
            ' conductors';
    }

    public static function answer(Job $job, string $key, mixed $value): string
    {
        try {
            $survey = Interview::put($job->survey, $key, $value);
        } catch (InvalidData $problem) {
            throw ValidationException::withMessages([
                'value' => ltrim(
                    str_replace(
                        "/{$key}:",
                        rtrim(Questions::named($key)->text ?? $key, '?').':',
                        $problem->getMessage(),
                    ),
                    '/',
                ),
            ]);
        }
        self::read($job, $survey);
        $job->survey = $survey;
        $question = Questions::named($key);

        return lcfirst(rtrim($question->text ?? $key, '?')).
            ': '.
            ($question?->said(
                Interview::answer(SurveyFile::read($survey, House::of($job)->installation->archetype), $key),
            ) ??
                'taken back');
    }

    /** Another kind of equipment, by the answers: cables stay as they were seen. */
    public static function setArchetype(Job $job, string $archetypeId): string
    {
        $catalog = app(Catalog::class);
        if (! in_array($archetypeId, $catalog->ids('equipment'), true)) {
            throw ValidationException::withMessages([
                'archetype' => "There is no equipment {$archetypeId} in the catalogue.",
            ]);
        }
        $archetype = $catalog->archetype($archetypeId);
        $survey = $job->survey;
        $survey['archetype'] = $archetypeId;
        $cables = is_array($survey['cables'] ?? null) ? $survey['cables'] : [];
        if ($archetype->coolStages > 0 && ! in_array('indoor', array_column($cables, 'from'), true)) {
            $cables[] = [
                'id' => 'B',
                'from' => 'indoor',
                'to' => 'outdoor',
                'gauge' => 18,
                'feet' => 30.0,
                'conductors' => [],
            ];
        }
        $survey['cables'] = $cables;
        $job->survey = SurveyFile::write(SurveyFile::read($survey, $archetype)->asPrinted());
        $job->plan = null;
        $job->planned_at = null;

        return "equipment: {$archetype->title}";
    }

    /** @param  list<array{id: string, label: string, breaks: list<string>, relay: bool}>  $devices */
    public static function setSafety(Job $job, array $devices): string
    {
        $screws = House::of($job)->installation->archetype->printedAt(Place::Indoor);
        foreach ($devices as $index => $device) {
            $unknown = array_diff($device['breaks'], $screws);
            if ($device['breaks'] === [] || $unknown !== []) {
                throw ValidationException::withMessages([
                    "safety.{$index}" => $device['breaks'] === []
                            ? "{$device['label']}: say which conductor it breaks."
                            : "{$device['label']} cannot break ".
                                implode(', ', $unknown).
                                ': this board has '.
                                implode(', ', $screws).
                                '.',
                ]);
            }
        }

        return self::setFacts($job, ['safety' => $devices]);
    }

    /** @param  list<array{place: string, a: string, b: string, label: string}>  $jumpers */
    public static function setJumpers(Job $job, array $jumpers): string
    {
        foreach ($jumpers as $index => $jumper) {
            if (strcasecmp($jumper['a'], $jumper['b']) === 0) {
                throw ValidationException::withMessages([
                    "jumpers.{$index}" => "A jumper from {$jumper['a']} to itself joins nothing. Name two terminals.",
                ]);
            }
        }
        $survey = [...$job->survey, 'jumpers' => $jumpers];
        self::read($job, $survey);
        $job->survey = $survey;

        return $jumpers === []
            ? 'no jumpers in place'
            : 'jumpers in place: '.
                    implode(
                        ', ',
                        array_map(static fn (array $j): string => "{$j['a']}–{$j['b']} at the {$j['place']}", $jumpers),
                    );
    }

    /** Goes past a stop, where its rule allows it, with the reason kept; an empty reason takes that back. */
    public static function override(Job $job, User $user, string $code, string $reason): string
    {
        $overrides = is_array($job->survey['overrides'] ?? null) ? $job->survey['overrides'] : [];
        unset($overrides[$code]);
        if ($reason !== '') {
            $stop =
                array_values(
                    array_filter(
                        SurveyReadings::screening($job),
                        static fn (Finding $f): bool => $f->code === $code && $f->severity === Severity::Stop,
                    ),
                )[0] ?? null;
            if ($stop?->overridable !== true) {
                throw ValidationException::withMessages([
                    'code' => $stop === null ? "{$code} stops nothing here." : "{$code} cannot be gone past. {$stop->action}",
                ]);
            }
            $overrides[$code] = "{$reason} ({$user->name})";
        }
        $job->survey = [...$job->survey, 'overrides' => $overrides];

        return $reason === '' ? "{$code} stops again" : "went past {$code}: {$reason}";
    }

    public static function changeConductor(Job $job, string $cableId, int $number, string $line): string
    {
        $house = House::of($job)->installation;
        $cable = self::cable($house, $cableId);
        $old = self::conductor($cable, $number);
        $entry = self::complete($house, $cableId, $line);
        $others = array_filter($cable->conductors, static fn (Conductor $c): bool => $c->number !== $number);
        self::save($job, $house->withCable($cable->withConductors([...$others, $entry->toConductor($number)])));

        return "changed {$old->name()}";
    }

    public static function removeConductor(Job $job, string $cableId, int $number): string
    {
        $house = House::of($job)->installation;
        $cable = self::cable($house, $cableId);
        $old = self::conductor($cable, $number);
        self::save(
            $job,
            $house->withCable(
                $cable->withConductors(
                    array_values(
                        array_filter($cable->conductors, static fn (Conductor $c): bool => $c->number !== $number),
                    ),
                ),
            ),
        );

        return "removed {$old->name()}";
    }

    /** @param  array<string, mixed>  $facts only those that change */
    public static function setFacts(Job $job, array $facts): string
    {
        $survey = $job->survey;
        $survey['facts'] = [...is_array($survey['facts'] ?? null) ? $survey['facts'] : [], ...$facts];
        self::read($job, $survey);
        $job->survey = $survey;

        return 'set '.implode(', ', array_keys($facts));
    }

    public static function setCable(Job $job, string $cableId, int $gauge, float $feet): string
    {
        $house = House::of($job)->installation;
        $cable = self::cable($house, $cableId);
        self::save(
            $job,
            $house->withCable(
                new Cable($cable->id, $cable->from, $cable->to, $gauge, $feet, $cable->conductors, $cable->kind),
            ),
        );

        return "cable {$cableId}: {$gauge} AWG, {$feet} ft";
    }

    private static function complete(Installation $house, string $cableId, string $line): ConductorEntry
    {
        $entry = self::parse($house, $cableId, $line);
        if (! $entry->isComplete()) {
            throw ValidationException::withMessages([
                'line' => array_map(static fn (EntryProblem $p): string => $p->message, $entry->problems),
            ]);
        }

        return $entry;
    }

    private static function cable(Installation $house, string $id): Cable
    {
        return $house->cable($id) ??
            throw ValidationException::withMessages([
                'cable' => "There is no cable {$id} in this survey. Use A for the wall, B for the outdoor unit.",
            ]);
    }

    private static function conductor(Cable $cable, int $number): Conductor
    {
        return $cable->conductor($number) ??
            throw ValidationException::withMessages([
                'number' => "There is no conductor {$number} in cable {$cable->id}.",
            ]);
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
            SurveyFile::read($survey, House::of($job)->installation->archetype);
        } catch (InvalidData $problem) {
            throw ValidationException::withMessages([basename($problem->pointer) => $problem->getMessage()]);
        }
    }
}
