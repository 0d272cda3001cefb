<?php

declare(strict_types=1);

namespace App\Survey\Places;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;

/** A cable that is none, with its conductors; a thermostat has at least one. */
final readonly class RemoveCable implements Edit
{
    public function __construct(private string $cable)
    {
    }

    public static function op(): string
    {
        return 'remove-cable';
    }

    public static function rules(): array
    {
        return ['cable' => ['required', 'string', 'max:2']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('cable'));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $gone = $draft->cable($this->cable);
        if ($gone->from === Place::Wall && count($draft->house->wallCables()) === 1) {
            throw Refused::at('cable', Message::of('survey.remove-cable.last-at-wall', cable: $gone->id));
        }
        $left = array_filter($draft->house->cables, static fn (Cable $c): bool => $c->id !== $gone->id);
        $draft->keepHouse($draft->house->withCables(array_values($left)));

        return Message::of('survey.remove-cable.removed', cable: $gone->id, size: $gone->label());
    }
}
