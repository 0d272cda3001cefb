<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Document\EditRequest;
use App\Models\Job;

/** What a job is called, what kind of visit it is, and when and by whom it is made. */
final class JobDetailsRequest extends EditRequest
{
    public function authorize(): bool
    {
        return parent::authorize() && $this->user()?->can('keep', $this->job()) === true;
    }

    protected static function kinds(): array
    {
        return [ChangeDetails::class];
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['op' => ChangeDetails::op()]);
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
}
