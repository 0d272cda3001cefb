<?php

declare(strict_types=1);

namespace App\Records\Photo;

use App\Web\JobRequest;
use App\Words\Words;
use Illuminate\Validation\Rule;

/** A photograph, a reason for none, or a mark on one. */
final class PhotoRequest extends JobRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'place' => ['required_without:photo_id', Rule::in(Photographs::PLACES)],
            'reason' => ['nullable', 'string', 'max:160'],
            'photo_id' => ['sometimes', 'ulid'],
            'x' => ['required_with:photo_id', 'numeric', 'between:0,1'],
            'y' => ['required_with:photo_id', 'numeric', 'between:0,1'],
            'end' => ['required_with:photo_id', 'string', 'max:12'],
            'takes_back' => ['nullable', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.max' => Words::of('records.photo-request.reason-max'),
            'place.in' => Words::of('records.photo-request.place'),
        ];
    }
}
