<?php

declare(strict_types=1);

namespace App\Plan;

use App\Web\JobRequest;
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
            'op' => [
                'required',
                Rule::in(['choose', 'take', 'land', 'board', 'tie', 'untie', 'link', 'use', 'restore']),
            ],
            'profile' => ['required_if:op,choose', 'string', 'max:60'],
            'key' => ['required_if:op,take', 'string', 'max:16'],
            'note' => ['nullable', 'string', 'max:300'],
            'weights' => ['nullable', 'array', 'max:4'],
            'place' => ['required_if:op,tie', Rule::in(['wall', 'indoor'])],
            'a' => ['required_if:op,tie', 'string', 'max:12'],
            'b' => ['required_if:op,tie', 'string', 'max:12'],
            'label' => ['required_if:op,untie', 'string', 'max:40'],
            'number' => ['required_if:op,land,board', 'integer', 'between:1,50'],
            'screw' => ['nullable', 'string', 'max:12'],
            'in' => ['required_if:op,link', 'boolean'],
            'to_version' => ['required_if:op,restore', 'integer', 'min:1'],
        ];
    }
}
