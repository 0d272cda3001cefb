<?php

declare(strict_types=1);

namespace App\Records\SetUp;

use App\House\Refused;
use App\Records\RecordRequest;
use Illuminate\Validation\Rule;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Asked\Thing\ThingKind;
use Unionbit\Core\Words\Message;

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

    /** @throws Refused for a name that is none of its kind */
    public function thing(): Thing
    {
        $kind = ThingKind::from($this->text('kind'));
        $a = $this->nullableString('a') ?? '';

        return $kind->read($a, $this->nullableString('b') ?? '') ??
            throw Refused::at('a', Message::of('records.put-on.nothing-there', thing: Message::raw($a)));
    }
}
