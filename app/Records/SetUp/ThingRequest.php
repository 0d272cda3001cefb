<?php

declare(strict_types=1);

namespace App\Records\SetUp;

use App\Records\RecordRequest;
use Illuminate\Validation\Rule;
use Unionbit\Core\Circuit\Standing\Thing;
use Unionbit\Core\Circuit\Standing\ThingKind;

/** A temporary thing put on, or put back. */
final class ThingRequest extends RecordRequest
{
    protected function fields(): array
    {
        return [
            'kind' => ['required', Rule::enum(ThingKind::class)],
            'a' => ['present', 'nullable', 'string', 'max:40'],
            'b' => ['present', 'nullable', 'string', 'max:40'],
            'stands' => ['required', 'boolean'],
        ];
    }

    public function thing(): Thing
    {
        return new Thing(
            ThingKind::from($this->text('kind')),
            $this->nullableString('a') ?? '',
            $this->nullableString('b') ?? '',
        );
    }
}
