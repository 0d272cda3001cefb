<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\Models\Kind\StepMoment;
use App\Records\RecordRequest;
use Illuminate\Validation\Rule;

/** A proving step started, or ended with everything put back. */
final class StepRequest extends RecordRequest
{
    protected function fields(): array
    {
        return ['step' => ['required', 'string', 'max:40'], 'event' => ['required', Rule::enum(StepMoment::class)]];
    }
}
