<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Apart;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Words\Message;

/** A conductor typed on one line, with the number that it says or the next one. */
final readonly class AddConductor implements Apart
{
    public function __construct(private string $cable, private string $line)
    {
    }

    public static function op(): string
    {
        return 'add-conductor';
    }

    public static function rules(): array
    {
        return ['cable' => ['required', 'string', 'max:2'], 'line' => ['required', 'string', 'max:120']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('cable'), $request->text('line'));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $cable = $draft->cable($this->cable);
        $entry = $draft->complete($this->cable, $this->line);
        $number = $entry->number ?? $cable->nextNumber();
        $there = $cable->conductor($number);
        if ($there !== null) {
            throw Refused::at(
                'line',
                Message::of(
                    'survey.add-conductor.conductor-there-already-leave-number',
                    number: $number,
                    there: $there->name(),
                ),
            );
        }
        $conductor = $entry->toConductor($number);
        $draft->keepConductors($cable, [...$cable->conductors, $conductor]);

        return Message::of('survey.add-conductor.added', conductor: $conductor->name());
    }
}
