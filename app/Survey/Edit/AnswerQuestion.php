<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Apart;
use App\Document\EditRequest;
use App\House\Refused;
use App\House\Stops;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Words\Message;

/** An answer to one of the survey's questions, or one taken back. */
final readonly class AnswerQuestion implements Apart
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

    public function apply(Job $job, User $by): Message
    {
        $question = Questions::named($this->key);
        $asks = Message::of('survey.answer-question.asks', question: $question->text ?? $this->key);
        try {
            $survey = Interview::put($job->survey, $this->key, $this->value);
        } catch (InvalidData $problem) {
            throw Refused::at(
                'value',
                $question === null
                    ? Stops::at($problem)
                    : Message::of('survey.answer-question.bad', asks: $asks, why: $problem->problem),
            );
        }
        $draft = SurveyDraft::of($job);
        $draft->keep($survey);
        $equipment = $draft->followAnswers();
        $answer = Interview::answer(SurveyFile::read($survey, $draft->house->archetype), $this->key);

        $answered = Message::of(
            'survey.answer-question.answered',
            asks: $asks->within(),
            answer: $question?->said($answer) ?? Message::of('survey.answer-question.taken-back'),
        );

        return $equipment === null ? $answered : Message::sentences([$answered, $equipment->opening()]);
    }
}
