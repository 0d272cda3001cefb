<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\Records\RecordRequest;
use App\Records\Taken;
use Illuminate\Validation\Rule;
use Unionbit\Core\Asked\Show\SignAnswer;

/** Something seen or heard of a call, or not. */
final class SignRequest extends RecordRequest
{
    protected function fields(): array
    {
        return [
            'step' => ['required', 'string', 'max:40'],
            'sign' => ['required', 'string', 'max:40'],
            'seen' => ['required', 'boolean'],
            'how' => ['nullable', Rule::enum(SignAnswer::class)],
            ...Taken::RULES,
        ];
    }

    public function how(): ?SignAnswer
    {
        return SignAnswer::tryFrom($this->nullableString('how') ?? '');
    }
}
