<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\Apart;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use Illuminate\Validation\Rule;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** What a board's print means that the catalogue does not know: which of its screws it is. The print stays as read. */
final readonly class ReadPrint implements Apart
{
    public function __construct(private Place $place, private string $printed, private ?string $means)
    {
    }

    public static function op(): string
    {
        return 'print';
    }

    public static function rules(): array
    {
        return [
            'place' => ['required', Rule::enum(Place::class)],
            'printed' => ['required', 'string', 'max:12'],
            'means' => ['nullable', 'string', 'max:12'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(
            Place::from($request->text('place')),
            $request->text('printed'),
            $request->nullableString('means'),
        );
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $has = $draft->house->archetype->printedAt($this->place);
        if ($this->means !== null && ! in_array($this->means, $has, true)) {
            throw Refused::at(
                'means',
                Message::of('survey.read-print.no-such-screw', means: $this->means, has: $has),
            );
        }
        $draft->keepHouse($draft->house->withPrint($this->place, $this->printed, $this->means));

        return $this->means === null
            ? Message::of('survey.read-print.not-understood', printed: $this->printed)
            : Message::of('survey.read-print.means', printed: $this->printed, means: $this->means);
    }
}
