<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Job;
use App\Models\User;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Questions;

/** An answer to one of the survey's questions, or one taken back. */
final readonly class AnswerQuestion implements Edit
{
    public function __construct(private string $key, private mixed $value)
    {
    }

    public static function op(): string
    {
        return 'answer';
    }

    public static function rules(): array
    {
        return ['key' => ['required', 'string', 'max:40']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('key'), $request->input('value'));
    }

    public function apply(Job $job, User $by): string
    {
        $question = Questions::named($this->key);
        $asks = rtrim($question->text ?? $this->key, '?');
        try {
            $survey = Interview::put($job->survey, $this->key, $this->value);
        } catch (InvalidData $problem) {
            $says = str_replace("/{$this->key}:", "{$asks}:", $problem->getMessage());
            throw Refused::at('value', ltrim($says, '/'));
        }
        $draft = SurveyDraft::of($job);
        $draft->keep($survey);
        $answer = Interview::answer(SurveyFile::read($survey, $draft->house->archetype), $this->key);

        return lcfirst($asks).': '.($question?->said($answer) ?? 'taken back');
    }
}
