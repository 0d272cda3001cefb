<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\House\SurveyReadings;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Words\Message;

/** Goes past a stop, where its rule allows it, with the reason kept; an empty reason takes that back. */
final readonly class GoPastStop implements Edit
{
    public function __construct(private string $code, private string $reason)
    {
    }

    public static function op(): string
    {
        return 'override';
    }

    public static function rules(): array
    {
        return ['code' => ['required', 'string', 'max:8'], 'reason' => ['nullable', 'string', 'max:160']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('code'), $request->text('reason'));
    }

    public function apply(Job $job, User $by): Message
    {
        $known = $job->survey['overrides'] ?? null;
        $overrides = is_array($known) ? $known : [];
        unset($overrides[$this->code]);
        if ($this->reason === '') {
            $job->survey = [...$job->survey, 'overrides' => $overrides];

            return Message::of('survey.go-past-stop.stops-again', rule: $this->code);
        }
        if (! $by->role->decides()) {
            throw Refused::at('code', Message::of('crew.role.decides', roles: Role::deciding()));
        }
        $stop =
            $this->stop($job) ??
            throw Refused::at('code', Message::of('survey.go-past-stop.stops-nothing-here', rule: $this->code));
        if (! $stop->overridable) {
            throw Refused::at(
                'code',
                Message::of('survey.go-past-stop.cannot-be-gone-past', rule: $this->code, action: $stop->action),
            );
        }
        $overrides[$this->code] = "{$this->reason} ({$by->name})";
        $job->survey = [...$job->survey, 'overrides' => $overrides];

        return Message::of('survey.go-past-stop.went-past', rule: $this->code, reason: $this->reason);
    }

    private function stop(Job $job): ?Finding
    {
        foreach (SurveyReadings::screening($job) as $finding) {
            if ($finding->code === $this->code && $finding->severity === Severity::Stop) {
                return $finding;
            }
        }

        return null;
    }
}
