<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\House\Catalog;
use App\House\House;
use App\House\Refused;
use App\House\Stops;
use App\Models\Job;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Build\Composition;
use Unionbit\Core\Equipment\Build\Unheld;
use Unionbit\Core\Job\EquipmentFrom;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Suggest\EquipmentMatch;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Entry\ConductorEntry;
use Unionbit\Core\Wiring\Entry\EntryProblem;
use Unionbit\Core\Words\Message;

/** A job's survey while it is edited: the house that it is, and the way back into the document. */
final readonly class SurveyDraft
{
    private function __construct(private Job $job, public Installation $house)
    {
    }

    public static function of(Job $job): self
    {
        return new self($job, House::of($job)->installation);
    }

    public function cable(string $id): Cable
    {
        return $this->house->cable($id) ??
            throw Refused::at('cable', Message::of('survey.survey-draft.there-no-cable-in-survey', id: $id));
    }

    public function conductor(Cable $cable, int $number): Conductor
    {
        return $cable->conductor($number) ??
            throw Refused::at(
                'number',
                Message::of('survey.survey-draft.there-no-conductor-in-cable', number: $number, id: $cable->id),
            );
    }

    /** A typed line as it is understood so far. */
    public function parse(string $cableId, string $line): ConductorEntry
    {
        $cable = $this->cable($cableId);
        $archetype = $this->house->archetype;
        $screws = $this->house->equipmentSeen() ? $archetype->lettersByPlace() : [];

        return ConductorEntry::parse($line, $cable->from, $cable->to, $screws, $archetype->reverses);
    }

    /** A typed line that says everything. */
    public function complete(string $cableId, string $line): ConductorEntry
    {
        $entry = $this->parse($cableId, $line);
        if (! $entry->isComplete()) {
            throw Refused::at(
                'line',
                ...array_map(static fn (EntryProblem $p): Message => $p->message, $entry->problems),
            );
        }

        return $entry;
    }

    /** @param  list<Conductor>  $conductors */
    public function keepConductors(Cable $cable, array $conductors): void
    {
        $this->keepHouse($this->house->withCable($cable->withConductors($conductors)));
    }

    public function keepHouse(Installation $house): void
    {
        $this->keep(SurveyFile::write($house));
    }

    /**
     * Keeps a survey that can be read back; refuses any other.
     *
     * @param  array<string, mixed>  $survey
     */
    public function keep(array $survey): void
    {
        try {
            SurveyFile::read($survey, $this->house->archetype);
        } catch (InvalidData $problem) {
            throw Refused::at(basename($problem->pointer), Stops::at($problem));
        }
        $this->job->survey = $survey;
    }

    /** With other units, or the same at other places: cables stay as they were seen. */
    public function keepEquipment(Composition $equipment): self
    {
        try {
            $shelf = app(Catalog::class)->shelf();
            $archetype = $shelf->archetype($shelf->name($equipment));
        } catch (Unheld $unheld) {
            throw Refused::at('unit', $unheld->why);
        }

        return $this->onto($archetype, $this->job->survey);
    }

    /**
     * On the equipment that somebody chose, or that the answers describe. A cable to an outdoor unit that nobody has
     * seen goes with the place holder.
     */
    public function choose(Archetype $archetype, EquipmentFrom $from): self
    {
        $house = SurveyFile::read($this->job->survey, $archetype);
        $outdoors = $house->outdoorCable();
        $cables = $house->cables;
        if ($archetype->coolStages > 0 && $outdoors === null) {
            $cables[] = Cable::toOutdoors($house->freeLetter());
        } elseif (
            $archetype->coolStages === 0 &&
            $from === EquipmentFrom::Answers &&
            $outdoors?->conductors === []
        ) {
            $cables = array_values(array_filter($cables, static fn (Cable $c): bool => $c !== $outdoors));
        }

        return $this->onto($archetype, SurveyFile::write($house->withCables($cables)->toldBy($from)));
    }

    /**
     * While no person has chosen the equipment it is what the answers describe; nobody knows it where they do not yet,
     * or where the catalogue has none. A plan in use is not taken from under anybody: where they describe another house
     * than it stands on, SC20 says so.
     *
     * @return ?Message what it is now, where that has changed
     */
    public function followAnswers(): ?Message
    {
        $house = SurveyFile::read($this->job->survey, $this->house->archetype);
        if ($house->equipmentFrom === EquipmentFrom::Person) {
            return null;
        }
        $shelf = app(Catalog::class)->shelf();
        $match = EquipmentMatch::of($house->answers, $shelf, $house->archetype->id);
        $from = $match->id === null ? EquipmentFrom::Nobody : EquipmentFrom::Answers;
        $other = $match->id !== null && $match->id !== $house->archetype->id;
        if ($other && $this->job->planned_at !== null) {
            return null;
        }
        if ($other) {
            $this->choose($shelf->archetype($match->id), $from);
        } elseif ($from !== $house->equipmentFrom) {
            $this->keepHouse($house->toldBy($from));
        } else {
            return null;
        }

        return $match->id === null
            ? Message::of('survey.draft.equipment-open')
            : Message::of('survey.choose-equipment.equipment', archetype: $shelf->archetype($match->id)->title);
    }

    /**
     * The house on other equipment: the figures of each supply stay where it stands, and there is no plan any more.
     *
     * @param  array<string, mixed>  $survey
     */
    public function onto(Archetype $archetype, array $survey): self
    {
        $read = SurveyFile::read($survey, $archetype);
        $house = $read->withFacts(
            $read->facts->carried($this->house->archetype->transformers, $archetype->transformers),
        );
        $this->job->survey = SurveyFile::write($house);
        $this->job->plan = null;
        $this->job->planned_at = null;

        return new self($this->job, $house);
    }

    /** What a place is called: an empty name where it has none of its own, null where there is no such place. */
    public function namePlace(Place $place, ?string $name): void
    {
        $places = is_array($this->job->survey['places'] ?? null) ? $this->job->survey['places'] : [];
        unset($places[$place->value]);
        $survey = $this->job->survey;
        unset($survey['places']);
        $stays = $name !== null && ($name !== '' || in_array($place, Place::ADDED, true));
        $places = $stays ? [...$places, $place->value => $name] : $places;
        $this->job->survey = $places === [] ? $survey : [...$survey, 'places' => $places];
    }

    /** @param  array<string, mixed>  $facts only those that change */
    public function keepFacts(array $facts): void
    {
        $known = $this->job->survey['facts'] ?? null;
        $this->keep([...$this->job->survey, 'facts' => [...is_array($known) ? $known : [], ...$facts]]);
    }
}
