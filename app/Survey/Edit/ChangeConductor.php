<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Apart;
use App\Document\EditRequest;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Words\Message;

/** A conductor typed anew; it keeps its number. */
final readonly class ChangeConductor implements Apart
{
    public function __construct(private string $cable, private int $number, private string $line)
    {
    }

    public static function op(): string
    {
        return 'change-conductor';
    }

    public static function rules(): array
    {
        return [
            'cable' => ['required', 'string', 'max:2'],
            'number' => ['required', 'integer', 'between:1,50'],
            'line' => ['required', 'string', 'max:120'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('cable'), $request->integer('number'), $request->text('line'));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $cable = $draft->cable($this->cable);
        $old = $draft->conductor($cable, $this->number);
        $entry = $draft->complete($this->cable, $this->line);
        $draft->keepConductors($cable, [...$cable->without($this->number), $entry->toConductor($this->number)]);

        return Message::of('survey.change-conductor.changed', old: $old->name());
    }
}
