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
use Unionbit\Core\Equipment\Build\Chosen;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** Another place of the house, what it is called, and the unit that stands there: one of the house moved, or added. */
final readonly class AddPlace implements Edit
{
    public function __construct(private Place $place, private string $name, private ?string $unit)
    {
    }

    public static function op(): string
    {
        return 'add-place';
    }

    public static function rules(): array
    {
        return [
            'place' => ['required', Rule::enum(Place::class)->only(Place::ADDED)],
            'name' => ['nullable', 'string', 'max:40'],
            'unit' => ['nullable', 'string', 'max:40'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(
            Place::from($request->text('place')),
            trim($request->nullableString('name') ?? ''),
            $request->nullableString('unit'),
        );
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $name = $this->name === '' ? null : $this->name;
        if ($this->unit !== null) {
            $shelf = app(Catalog::class)->shelf();
            $equipment = $shelf->composed($draft->house->archetype->id);
            $unit =
                $shelf->units[$this->unit] ??
                throw Refused::at('unit', Message::of('survey.add-place.no-such-unit', unit: $this->unit));
            $there = $equipment->unit($this->unit);
            $draft->keepEquipment(
                $there === null
                    ? $equipment->with(Chosen::of($unit, [], $this->place))
                    : $equipment->without($there)->with($there->at($this->place)),
            );
        }
        $draft->namePlace($this->place, $name ?? '');

        return Message::of('survey.add-place.added', place: $name ?? $this->place->label());
    }
}
