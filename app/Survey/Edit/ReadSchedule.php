<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\File\ConductorSchedule;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;

/** The conductors of a schedule instead of those that are there. */
final readonly class ReadSchedule implements Edit
{
    public function __construct(private string $csv)
    {
    }

    public static function op(): string
    {
        return 'read-schedule';
    }

    public static function rules(): array
    {
        return ['csv' => ['required', 'string', 'max:200000']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->string('csv')->toString());
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = SurveyDraft::of($job);
        try {
            $house = ConductorSchedule::read(Schedule::rows($this->csv), $draft->house);
        } catch (InvalidData $problem) {
            throw Refused::at(
                'csv',
                Message::of(
                    'survey.read-schedule.row',
                    place: trim(str_replace('/', ' ', $problem->pointer)),
                    problem: $problem->problem,
                ),
            );
        }
        $draft->keepHouse($house);
        $count = array_sum(array_map(static fn (Cable $c): int => count($c->conductors), $house->cables));

        return Message::of('survey.read-schedule.read-conductor-schedule-conductors', count: $count);
    }
}
