<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Record\PowerEvent;
use App\Models\Record\StepEvent;
use App\Web\Decimal;
use App\Web\JobRequest;
use Illuminate\Validation\Rule;

/** A row of one of the job's records. */
final class RecordRequest extends JobRequest
{
    protected function prepareForValidation(): void
    {
        $values = $this->input('values');
        $this->merge(is_array($values) ? ['values' => Decimal::each($values)] : []);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'step' => ['sometimes', 'string', 'max:40'],
            'event' => ['sometimes', Rule::in(StepEvent::EVENTS)],
            'sign' => ['sometimes', 'string', 'max:40'],
            'seen' => ['sometimes', 'boolean'],
            'key' => ['sometimes', 'string', 'max:40'],
            'value' => ['sometimes', 'string', 'max:60'],
            'note' => ['nullable', 'string', 'max:200'],
            'call' => ['sometimes', 'string', 'max:40'],
            'move' => ['sometimes', 'string', 'max:40'],
            'done' => ['sometimes', 'boolean'],
            'state' => ['sometimes', Rule::in(PowerEvent::STATES)],
            'volts' => ['nullable', 'string', 'max:20'],
            'supplies' => ['sometimes', 'array', 'max:4'],
            'supplies.*' => ['nullable', 'string', 'max:20'],
            'despite' => ['sometimes', 'boolean'],
            'meter_proved' => ['sometimes', 'boolean'],
            'figure' => ['sometimes', 'string', 'max:20'],
            'values' => ['sometimes', 'array', 'max:12'],
            'values.*' => ['nullable', 'numeric'],
            'reading' => ['sometimes', 'ulid'],
            'unexplained' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> readings as typed, by supply */
    public function supplies(): array
    {
        $typed = [];
        foreach ((array) $this->input('supplies') as $supply => $volts) {
            if (is_string($volts)) {
                $typed[(string) $supply] = $volts;
            }
        }

        return $typed;
    }
}
