<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\Records\RecordRequest;

/** A reading flagged as unexplained, or the explanation that takes the flag off. */
final class ReadingMarkRequest extends RecordRequest
{
    protected function fields(): array
    {
        return [
            'reading' => ['required', 'ulid'],
            'unexplained' => ['required', 'boolean'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }
}
