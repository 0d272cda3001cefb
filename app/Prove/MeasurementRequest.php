<?php

declare(strict_types=1);

namespace App\Prove;

use App\Models\Record\MeasuredFigure;
use App\Records\RecordRequest;
use App\Web\Decimal;
use Illuminate\Validation\Rule;

/** A temperature split or an airflow as it was measured. */
final class MeasurementRequest extends RecordRequest
{
    protected function fields(): array
    {
        return [
            'figure' => ['required', Rule::enum(MeasuredFigure::class)],
            'call' => ['nullable', 'string', 'max:40'],
            'values' => ['required', 'array', 'max:12'],
            'values.*' => ['nullable', 'numeric'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $allowed = implode(' or ', array_column(MeasuredFigure::cases(), 'value'));

        return ['figure.enum' => ":input is not measured here. Use {$allowed}."];
    }

    protected function prepareForValidation(): void
    {
        $values = $this->input('values');
        $this->merge(is_array($values) ? ['values' => Decimal::each($values)] : []);
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        $values = [];
        foreach ((array) $this->input('values') as $input => $value) {
            $values[(string) $input] = $value;
        }

        return $values;
    }
}
