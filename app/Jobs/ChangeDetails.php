<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Document\Edit;
use App\Document\EditRequest;
use App\Jobs\Screen\JobSummaries;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Kind\VisitKind;
use Illuminate\Validation\Rule;
use Unionbit\Core\Visit\DayPlan;
use Unionbit\Core\Words\Message;

/** What a job is called, what kind of visit it is, and when and by whom it is made. */
final readonly class ChangeDetails implements Edit
{
    /** @param  ?array{day: string, starts: int, who: string}  $planned  start in minutes of the day */
    public function __construct(
        private string $site,
        private string $address,
        private string $system,
        private VisitKind $kind,
        private ?array $planned,
    ) {
    }

    public static function op(): string
    {
        return 'details';
    }

    public static function rules(): array
    {
        return [
            'site' => ['required', 'string', 'max:80'],
            'address' => ['nullable', 'string', 'max:160'],
            'system' => ['required', 'string', 'max:60'],
            'kind' => ['required', Rule::enum(VisitKind::class)],
            'day' => ['nullable', 'date_format:Y-m-d'],
            'starts' => ['nullable', 'required_with:day', 'date_format:H:i'],
            'who' => ['nullable', 'required_with:day', 'string', 'max:40'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(
            site: $request->text('site'),
            address: $request->text('address'),
            system: $request->text('system'),
            kind: VisitKind::from($request->text('kind')),
            planned: $request->filled('day') ? self::planned($request) : null,
        );
    }

    public function apply(Job $job, User $by): Message
    {
        $job->system->site->update(['name' => $this->site, 'address' => $this->address]);
        JobSummaries::renamed($job->system->site_id);
        $job->system->update(['name' => $this->system]);
        $job->kind = $this->kind;
        $job->forceFill([
            'day' => $this->planned['day'] ?? null,
            'starts_at' => $this->planned['starts'] ?? null,
            'who' => $this->planned['who'] ?? null,
        ]);
        if ($this->planned === null) {
            return Message::of('jobs.change-details.details-no-day-planned');
        }
        $clock = DayPlan::clock($this->planned['starts']);

        return Message::of(
            'jobs.change-details.planned-for-at',
            day: $this->planned['day'],
            clock: $clock,
            who: $this->planned['who'],
        );
    }

    /** @return array{day: string, starts: int, who: string} */
    private static function planned(EditRequest $request): array
    {
        [$hours, $minutes] = array_map(intval(...), explode(':', $request->text('starts')));

        return ['day' => $request->text('day'), 'starts' => 60 * $hours + $minutes, 'who' => $request->text('who')];
    }
}
