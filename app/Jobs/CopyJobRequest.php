<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Kind\VisitKind;
use App\Web\JobRequest;
use App\Words\Words;
use Illuminate\Validation\Rule;

/** Another visit, a sister system, or a house like this one. A closed job can be copied too. */
final class CopyJobRequest extends JobRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('keep', $this->job()) === true;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'as' => ['required', Rule::in(CopyJob::AS)],
            'kind' => ['required', Rule::enum(VisitKind::class)],
            'name' => ['required_unless:as,visit', 'nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required_unless' => Words::of('jobs.refused.name-required'),
            'name.max' => Words::of('jobs.refused.name-max'),
        ];
    }
}
