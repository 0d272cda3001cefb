<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Document\EditRequest;
use App\Models\Job;
use App\Words\Words;

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
            'site.required' => Words::of('jobs.refused.site-required'),
            'site.max' => Words::of('jobs.refused.site-max'),
            'system.required' => Words::of('jobs.refused.system-required'),
            'day.date_format' => Words::of('jobs.refused.day'),
            'starts.required_with' => Words::of('jobs.refused.starts-required'),
            'starts.date_format' => Words::of('jobs.refused.starts'),
            'who.required_with' => Words::of('jobs.refused.who-required'),
        ];
    }
}
