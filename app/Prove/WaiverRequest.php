<?php

declare(strict_types=1);

namespace App\Prove;

use App\Records\RecordRequest;

/** A call that is left unproved, with the reason; an empty reason takes that back. */
final class WaiverRequest extends RecordRequest
{
    /** Taking it back makes more to do, not less: that needs nobody's decision. */
    public function authorize(): bool
    {
        return parent::authorize() &&
            (! $this->filled('note') || $this->user()?->can('decide', $this->job()) === true);
    }

    protected function fields(): array
    {
        return ['call' => ['required', 'string', 'max:40'], 'note' => ['nullable', 'string', 'max:200']];
    }
}
