<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;

/** One edit of a plan. */
final class PlanEditRequest extends JobRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'version' => ['required', 'integer', 'min:1'],
            'op' => ['required', Rule::in(['choose', 'land', 'link', 'use', 'restore'])],
            'profile' => ['required_if:op,choose', 'string', 'max:60'],
            'number' => ['required_if:op,land', 'integer', 'between:1,50'],
            'screw' => ['nullable', 'string', 'max:12'],
            'in' => ['required_if:op,link', 'boolean'],
            'to_version' => ['required_if:op,restore', 'integer', 'min:1'],
        ];
    }
}
