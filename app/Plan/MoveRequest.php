<?php

declare(strict_types=1);

namespace App\Plan;

use App\Records\RecordRequest;

/** A move of the landing list done, or taken back. */
final class MoveRequest extends RecordRequest
{
    protected function fields(): array
    {
        return ['move' => ['required', 'string', 'max:40'], 'done' => ['required', 'boolean']];
    }
}
