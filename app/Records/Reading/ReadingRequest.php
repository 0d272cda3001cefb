<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\Models\Kind\Stage;
use App\Models\Record\Reading;
use App\Records\Taken;
use App\Web\JobRequest;
use Illuminate\Validation\Rule;
use Unionbit\Core\Circuit\Meter\MeterMode;

/** A reading, or the question what it should be. */
final class ReadingRequest extends JobRequest
{
    /** Asking is for everybody who may see the job; recording only while it is open. */
    public function authorize(): bool
    {
        return $this->user()?->can($this->filled('value') ? 'work' : 'view', $this->job()) === true;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required_with:value', 'ulid'],
            'stage' => ['required', Rule::enum(Stage::class)->only(Stage::withReadings())],
            'step' => ['nullable', 'string', 'max:40'],
            'call' => ['nullable', 'string', 'max:20'],
            'mode' => ['required', Rule::enum(MeterMode::class)],
            'a' => ['required', 'string', 'max:40'],
            'b' => ['required', 'string', 'max:40'],
            'value' => ['nullable', 'string', 'max:20'],
            'corrects' => ['nullable', 'ulid'],
            ...Taken::RULES,
        ];
    }

    public function place(): ReadingPlace
    {
        return new ReadingPlace(
            Stage::from($this->string('stage')->toString()),
            MeterMode::from($this->string('mode')->toString()),
            $this->string('a')->toString(),
            $this->string('b')->toString(),
            $this->nullableString('step'),
            $this->nullableString('call'),
        );
    }
}
