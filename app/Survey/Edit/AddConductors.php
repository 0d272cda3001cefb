<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Apart;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Words\Message;

/** Several lines at once: all of them, or none with every line's problem told. */
final readonly class AddConductors implements Apart
{
    /** @param  list<string>  $lines */
    public function __construct(private string $cable, private array $lines)
    {
    }

    public static function op(): string
    {
        return 'add-conductors';
    }

    public static function rules(): array
    {
        return [
            'cable' => ['required', 'string', 'max:2'],
            'lines' => ['required', 'array', 'min:1', 'max:50'],
            'lines.*' => ['string', 'max:120'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('cable'), $request->strings('lines'));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        $cable = $draft->cable($this->cable);
        $problems = [];
        foreach ($this->lines as $index => $line) {
            $entry = $draft->parse($this->cable, $line);
            $number = $entry->number ?? $cable->nextNumber();
            if (! $entry->isComplete()) {
                foreach ($entry->problems as $problem) {
                    $problems[] = Message::of(
                        'survey.add-conductors.line',
                        index: $index + 1,
                        message: $problem->message,
                    );
                }
            } elseif ($cable->conductor($number) !== null || $number > SurveyFile::MOST_CONDUCTORS) {
                $problems[] = Message::of(
                    'survey.add-conductors.line-conductor-there-already-or',
                    index: $index + 1,
                    number: $number,
                );
            } else {
                $cable = $cable->withConductors([...$cable->conductors, $entry->toConductor($number)]);
            }
        }
        if ($problems !== []) {
            throw Refused::at('lines', ...$problems);
        }
        $draft->keepConductors($cable, $cable->conductors);

        return Message::of('survey.add-conductors.added-conductors', count: count($this->lines));
    }
}
