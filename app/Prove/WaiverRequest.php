<?php

declare(strict_types=1);

namespace App\Prove;

use App\Records\RecordRequest;

/** A call that is left unproved, with the reason; an empty reason takes that back. */
final class WaiverRequest extends RecordRequest
{
    protected function fields(): array
    {
        return ['call' => ['required', 'string', 'max:40'], 'note' => ['nullable', 'string', 'max:200']];
    }
}
