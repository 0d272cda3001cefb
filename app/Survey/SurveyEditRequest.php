<?php

declare(strict_types=1);

namespace App\Survey;

use App\Web\Decimal;
use App\Web\JobRequest;
use Illuminate\Validation\Rule;

/** One edit of a survey. */
final class SurveyEditRequest extends JobRequest
{
    protected function prepareForValidation(): void
    {
        $facts = $this->input('facts');
        $this->merge([
            ...$this->has('feet') ? ['feet' => Decimal::plain($this->input('feet'))] : [],
            ...is_array($facts) ? ['facts' => Decimal::each($facts)] : [],
        ]);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'version' => ['required', 'integer', 'min:1'],
            'op' => [
                'required',
                Rule::in([
                    'add-conductor',
                    'change-conductor',
                    'remove-conductor',
                    'add-conductors',
                    'read-schedule',
                    'answer',
                    'set-archetype',
                    'safety',
                    'jumpers',
                    'override',
                    'set-facts',
                    'set-cable',
                    'finish',
                    'restore',
                ]),
            ],
            'cable' => [
                'required_if:op,add-conductor,add-conductors,change-conductor,remove-conductor,set-cable',
                'string',
                'max:2',
            ],
            'line' => ['required_if:op,add-conductor,change-conductor', 'string', 'max:120'],
            'lines' => ['required_if:op,add-conductors', 'array', 'min:1', 'max:50'],
            'lines.*' => ['string', 'max:120'],
            'csv' => ['required_if:op,read-schedule', 'string', 'max:200000'],
            'key' => ['required_if:op,answer', 'string', 'max:40'],
            'archetype' => ['required_if:op,set-archetype', 'string', 'max:60'],
            'code' => ['required_if:op,override', 'string', 'max:8'],
            'reason' => ['nullable', 'string', 'max:160'],
            'safety' => ['present_if:op,safety', 'array', 'max:6'],
            'safety.*.id' => ['required', 'string', 'regex:/^[a-z][a-z0-9-]{0,19}$/', 'distinct'],
            'safety.*.label' => ['required', 'string', 'max:40'],
            'safety.*.breaks' => ['present', 'array', 'max:6'],
            'safety.*.breaks.*' => ['string', 'max:12'],
            'safety.*.relay' => ['required', 'boolean'],
            'jumpers' => ['present_if:op,jumpers', 'array', 'max:8'],
            'jumpers.*.place' => ['required', Rule::in(['wall', 'indoor', 'outdoor'])],
            'jumpers.*.a' => ['required', 'string', 'max:12'],
            'jumpers.*.b' => ['required', 'string', 'max:12'],
            'jumpers.*.label' => ['required', 'string', 'max:20'],
            'number' => ['required_if:op,change-conductor,remove-conductor', 'integer', 'between:1,50'],
            'to_version' => ['required_if:op,restore', 'integer', 'min:1'],
            'gauge' => ['required_if:op,set-cable', Rule::in([18, 20, 22, 24])],
            'feet' => ['required_if:op,set-cable', 'numeric', 'between:1,1000'],
            'facts' => [
                'required_if:op,set-facts',
                'array:lineVolts,tapVolts,transformerVa,fuseAmps,commonBonded,plateLink,oldPower',
            ],
            'facts.lineVolts' => ['nullable', 'numeric', 'between:90,300'],
            'facts.tapVolts' => ['nullable', 'numeric', 'between:90,300'],
            'facts.transformerVa' => ['nullable', 'numeric', 'between:10,200'],
            'facts.fuseAmps' => ['nullable', 'numeric', 'between:0.5,30'],
            'facts.commonBonded' => ['nullable', 'boolean'],
            'facts.plateLink' => ['nullable', Rule::in(['in', 'out', 'none', 'unknown'])],
            'facts.oldPower' => ['nullable', Rule::in(['battery', 'common', 'mechanical'])],
        ];
    }

    /** @return list<string> */
    public function strings(string $key): array
    {
        $list = $this->input($key);

        return array_values(array_filter(is_array($list) ? $list : [], is_string(...)));
    }

    /** @return list<array{id: string, label: string, breaks: list<string>, relay: bool}> */
    public function devices(): array
    {
        return array_map(
            fn (int $n): array => [
                'id' => $this->string("safety.{$n}.id")->toString(),
                'label' => $this->string("safety.{$n}.label")->toString(),
                'breaks' => $this->strings("safety.{$n}.breaks"),
                'relay' => $this->boolean("safety.{$n}.relay"),
            ],
            array_keys(array_values((array) $this->input('safety'))),
        );
    }

    /** @return list<array{place: string, a: string, b: string, label: string}> */
    public function jumpers(): array
    {
        $field = fn (int $n, string $key): string => $this->string("jumpers.{$n}.{$key}")->toString();

        return array_map(
            static fn (int $n): array => [
                'place' => $field($n, 'place'),
                'a' => $field($n, 'a'),
                'b' => $field($n, 'b'),
                'label' => $field($n, 'label'),
            ],
            array_keys(array_values((array) $this->input('jumpers'))),
        );
    }
}
