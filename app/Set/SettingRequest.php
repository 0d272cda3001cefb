<?php

declare(strict_types=1);

namespace App\Set;

use App\Records\RecordRequest;

/** A setting as it was entered in the thermostat. */
final class SettingRequest extends RecordRequest
{
    protected function fields(): array
    {
        return [
            'key' => ['required', 'string', 'max:40'],
            'value' => ['required', 'string', 'max:60'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }
}
