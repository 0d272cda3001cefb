<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\Edit;
use App\House\Catalog;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use Unionbit\Core\Equipment\Build\Chosen;
use Unionbit\Core\Equipment\Build\Unit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Point\OfPart;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Entry\SupplyEntry;
use Unionbit\Core\Words\Message;

/**
 * A supply from one line, "75 VA at the attic air handler, 3 A fuse": its figures where it stands already; where none
 * stands yet, with the unit that it feeds, if only one at that place brings its own.
 */
final class AddSupply implements Edit
{
    use OneLine;

    public static function op(): string
    {
        return 'add-supply';
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $entry = SupplyEntry::parse($this->line, HouseMap::words($draft->house, all: true));
        if ($entry->problems !== [] || $entry->place === null) {
            throw Refused::at('line', ...$entry->problems);
        }
        $draft = self::standing($draft->house, $entry->place) === [] ? self::bring($draft, $entry->place) : $draft;
        $supplies = self::standing($draft->house, $entry->place);
        if (count($supplies) !== 1) {
            throw Refused::at(
                'line',
                Message::of(
                    'survey.add-supply.which',
                    place: $draft->house->placeName($entry->place),
                    supplies: array_column($supplies, 'id'),
                ),
            );
        }
        $first = $supplies[0]->id === $draft->house->transformers()[0]->id;
        $survey = $job->survey;
        foreach ($entry->figures as $key => $value) {
            $asked = new OfPart((string) $key, $first ? null : $supplies[0]->id);
            $survey = Interview::put($survey, $asked->text(), $value);
        }
        $draft->keep($survey);

        return Message::of(
            'survey.add-supply.added',
            id: $supplies[0]->id,
            place: $draft->house->placeName($entry->place),
        );
    }

    /** The unit that brings a supply to a place where none stands. */
    private static function bring(SurveyDraft $draft, Place $place): SurveyDraft
    {
        $shelf = app(Catalog::class)->shelf();
        $units = array_values(
            array_filter($shelf->units, static fn (Unit $u): bool => $u->place === $place && $u->supplies([]) > 0),
        );
        if (count($units) !== 1) {
            throw Refused::at(
                'line',
                Message::of('survey.add-supply.no-unit', place: $draft->house->placeName($place)),
            );
        }
        $with = $draft->keepEquipment(
            $shelf->composed($draft->house->archetype->id)->with(Chosen::of($units[0], [], $place)),
        );
        $with->namePlace($place, '');

        return $with;
    }

    /** @return list<Transformer> */
    private static function standing(Installation $house, Place $place): array
    {
        return array_values(
            array_filter($house->transformers(), static fn (Transformer $t): bool => $t->place() === $place),
        );
    }
}
