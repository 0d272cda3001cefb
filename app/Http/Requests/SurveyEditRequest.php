<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;

/** One edit of a survey. */
final class SurveyEditRequest extends JobRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'version' => ['required', 'integer', 'min:1'],
            'op' => ['required', Rule::in(['add-conductor', 'change-conductor', 'remove-conductor', 'set-facts', 'set-cable', 'finish', 'restore'])],
            'cable' => ['required_if:op,add-conductor,change-conductor,remove-conductor,set-cable', 'string', 'max:2'],
            'line' => ['required_if:op,add-conductor,change-conductor', 'string', 'max:120'],
            'number' => ['required_if:op,change-conductor,remove-conductor', 'integer', 'between:1,50'],
            'to_version' => ['required_if:op,restore', 'integer', 'min:1'],
            'gauge' => ['required_if:op,set-cable', Rule::in([18, 20, 22, 24])],
            'feet' => ['required_if:op,set-cable', 'numeric', 'between:1,1000'],
            'facts' => ['required_if:op,set-facts', 'array:lineVolts,tapVolts,transformerVa,fuseAmps,commonBonded,plateLink,oldPower'],
            'facts.lineVolts' => ['nullable', 'numeric', 'between:90,300'],
            'facts.tapVolts' => ['nullable', 'numeric', 'between:90,300'],
            'facts.transformerVa' => ['nullable', 'numeric', 'between:10,200'],
            'facts.fuseAmps' => ['nullable', 'numeric', 'between:0.5,30'],
            'facts.commonBonded' => ['nullable', 'boolean'],
            'facts.plateLink' => ['nullable', Rule::in(['in', 'out', 'none', 'unknown'])],
            'facts.oldPower' => ['nullable', Rule::in(['battery', 'common', 'mechanical'])],
        ];
    }
}
