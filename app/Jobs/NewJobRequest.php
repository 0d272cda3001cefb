<?php

declare(strict_types=1);

namespace App\Jobs;

use App\House\CableLength;
use App\House\Catalog;
use App\Models\Job;
use App\Models\Kind\VisitKind;
use App\Web\Decimal;
use App\Words\Words;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A new job at a new site, or of another system of a known one. */
final class NewJobRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('create', Job::class) === true;
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['feet' => Decimal::plain($this->input('feet'))]);
    }

    /** @return array<string, mixed> */
    public function rules(Catalog $catalog): array
    {
        return [
            'id' => ['required', 'ulid'],
            'site_id' => ['nullable', 'ulid'],
            'site' => ['required_without:site_id', 'nullable', 'string', 'max:80'],
            'address' => ['nullable', 'string', 'max:160'],
            'system' => ['nullable', 'string', 'max:60'],
            'kind' => ['required', Rule::enum(VisitKind::class)],
            'archetype' => ['nullable', Rule::in($catalog->shelf()->ids())],
            'feet' => ['required', new CableLength()],
            'example' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'site.required_without' => Words::of('jobs.refused.site-required'),
            'site.max' => Words::of('jobs.refused.site-max'),
            'system.max' => Words::of('jobs.refused.system-max'),
            'address.max' => Words::of('jobs.refused.address-max'),
        ];
    }
}
