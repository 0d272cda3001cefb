<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\Apart;
use App\Document\EditRequest;
use App\Models\Crew\User;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use Illuminate\Validation\Rule;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** What a place is called in this house; without a name it is called what it is. */
final readonly class NamePlace implements Apart
{
    public function __construct(private Place $place, private string $name)
    {
    }

    public static function op(): string
    {
        return 'name-place';
    }

    public static function rules(): array
    {
        return ['place' => ['required', Rule::enum(Place::class)], 'name' => ['nullable', 'string', 'max:40']];
    }

    public static function from(EditRequest $request): self
    {
        return new self(Place::from($request->text('place')), trim($request->nullableString('name') ?? ''));
    }

    public function apply(Job $job, User $by): Message
    {
        SurveyDraft::of($job)->namePlace($this->place, $this->name);

        return Message::of(
            'survey.name-place.called',
            place: $this->place->label(),
            name: $this->name === '' ? $this->place->label() : $this->name,
        );
    }
}
