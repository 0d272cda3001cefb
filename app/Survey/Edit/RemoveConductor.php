<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Apart;
use App\Document\EditRequest;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Words\Message;

/** A conductor that is not there after all. */
final readonly class RemoveConductor implements Apart
{
    public function __construct(private string $cable, private int $number)
    {
    }

    public static function op(): string
    {
        return 'remove-conductor';
    }

    public static function rules(): array
    {
        return ['cable' => ['required', 'string', 'max:2'], 'number' => ['required', 'integer', 'between:1,50']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('cable'), $request->integer('number'));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $cable = $draft->cable($this->cable);
        $old = $draft->conductor($cable, $this->number);
        $draft->keepConductors($cable, $cable->without($this->number));

        return Message::of('survey.remove-conductor.removed', old: $old->name());
    }
}
