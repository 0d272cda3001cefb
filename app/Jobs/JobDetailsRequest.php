<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Jobs\Screen\JobSummaries;
use App\Models\Job;
use App\Web\JobRequest;
use Illuminate\Validation\Rule;
use Unionbit\Core\Visit\DayPlan;

/** What a job is called, what kind of visit it is, and when and by whom it is made. */
final class JobDetailsRequest extends JobRequest
{
    public function authorize(): bool
    {
        return parent::authorize() && $this->user()?->can('keep', $this->job()) === true;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'version' => ['required', 'integer', 'min:1'],
            'site' => ['required', 'string', 'max:80'],
            'address' => ['nullable', 'string', 'max:160'],
            'system' => ['required', 'string', 'max:60'],
            'kind' => ['required', Rule::in(CreateJob::KINDS)],
            'day' => ['nullable', 'date_format:Y-m-d'],
            'starts' => ['nullable', 'required_with:day', 'date_format:H:i'],
            'who' => ['nullable', 'required_with:day', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'site.required' => 'Give the house a name.',
            'site.max' => 'The name is too long: 80 characters at most.',
            'system.required' => 'Give the system a name, as "Upstairs".',
            'day.date_format' => 'The day is a date, as 2026-11-25.',
            'starts.required_with' => 'Say when the visit starts.',
            'starts.date_format' => 'The start is a time from 00:00 to 23:59.',
            'who.required_with' => 'Say which van or person goes.',
        ];
    }

    public function apply(Job $job): string
    {
        $job->system->site->update([
            'name' => trim($this->string('site')->toString()),
            'address' => trim($this->string('address')->toString()),
        ]);
        JobSummaries::renamed($job->system->site_id);
        $job->system->update(['name' => trim($this->string('system')->toString())]);
        $planned = $this->filled('day');
        [$hours, $minutes] = array_map(
            intval(...),
            explode(':', $planned ? $this->string('starts')->toString() : '0:0'),
        );
        $job->kind = $this->string('kind')->toString();
        $job->forceFill([
            'day' => $planned ? $this->string('day')->toString() : null,
            'starts_at' => $planned ? 60 * $hours + $minutes : null,
            'who' => $planned ? trim($this->string('who')->toString()) : null,
        ]);

        return $planned
            ? "planned for {$this->string('day')} at ".DayPlan::clock(60 * $hours + $minutes).", {$job->who}"
            : 'details, no day planned';
    }
}
