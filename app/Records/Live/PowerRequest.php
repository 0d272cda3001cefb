<?php

declare(strict_types=1);

namespace App\Records\Live;

use App\Models\Kind\PowerState;
use App\Records\RecordRequest;
use Illuminate\Validation\Rule;

/** A change of the power flag, with the reading of each supply as it was typed. */
final class PowerRequest extends RecordRequest
{
    protected function fields(): array
    {
        return [
            'state' => ['required', Rule::enum(PowerState::class)],
            'volts' => ['nullable', 'string', 'max:20'],
            'supplies' => ['sometimes', 'array', 'max:4'],
            'supplies.*' => ['nullable', 'string', 'max:20'],
            'despite' => ['sometimes', 'boolean'],
            'meter_proved' => ['sometimes', 'boolean'],
        ];
    }

    public function state(): PowerState
    {
        return PowerState::from($this->text('state'));
    }

    /** @return array<string, string> readings as typed, by supply; under no name where the house has one supply */
    public function typed(): array
    {
        $typed = [];
        foreach (['' => $this->input('volts'), ...(array) $this->input('supplies')] as $supply => $volts) {
            if (is_string($volts)) {
                $typed[(string) $supply] = $volts;
            }
        }

        return $typed;
    }
}
