<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Catalog;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use Illuminate\Validation\Rule;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** An added place that is none: what was added with it goes, a unit that was moved there goes back where it was. */
final readonly class RemovePlace implements Edit
{
    public function __construct(private Place $place)
    {
    }

    public static function op(): string
    {
        return 'remove-place';
    }

    public static function rules(): array
    {
        return ['place' => ['required', Rule::enum(Place::class)->only(Place::ADDED)]];
    }

    public static function from(EditRequest $request): self
    {
        return new self(Place::from($request->text('place')));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $called = $draft->house->placeName($this->place);
        foreach ($draft->house->cables as $cable) {
            if (in_array($this->place, [$cable->from, $cable->to], true)) {
                throw Refused::at(
                    'place',
                    Message::of('survey.remove-place.cable-ends-there', place: $called, cable: $cable->id),
                );
            }
        }
        $equipment = app(Catalog::class)->shelf()->composed($draft->house->archetype->id);
        $left = $equipment->withoutPlace($this->place);
        foreach ($equipment->units as $unit) {
            if ($unit->place === $this->place && $unit->isAsked()) {
                $left = $left->with($unit->at($unit->unit->place));
            }
        }
        if ($left->key() !== $equipment->key()) {
            $draft->keepEquipment($left);
        }
        $draft->namePlace($this->place, null);

        return Message::of('survey.remove-place.removed', place: $called);
    }
}
