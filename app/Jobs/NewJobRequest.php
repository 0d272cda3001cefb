<?php

declare(strict_types=1);

namespace App\Jobs;

use App\House\Catalog;
use App\Models\VisitKind;
use App\Web\Decimal;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A new job at a new site, or of another system of a known one. */
final class NewJobRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user() !== null;
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
            'archetype' => ['nullable', Rule::in($catalog->ids('equipment'))],
            'feet' => ['required', 'numeric', 'between:1,1000'],
            'example' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'site.required_without' => 'Give the house a name.',
            'site.max' => 'The name is too long: 80 characters at most.',
            'system.max' => 'The system\'s name is too long: 60 characters at most.',
            'address.max' => 'The address is too long: 160 characters at most.',
            'feet.between' => 'The cable is 1 to 1000 feet long.',
            'feet.numeric' => 'The cable\'s length is a number of feet, 1 to 1000.',
        ];
    }
}
