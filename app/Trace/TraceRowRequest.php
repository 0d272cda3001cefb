<?php

declare(strict_types=1);

namespace App\Trace;

use App\Models\Kind\TraceMoment;
use App\Records\RecordRequest;
use Illuminate\Validation\Rule;

/** A row of a trace: a fault opened, a test seen or looked at, an event, a row taken back, the fault put away. */
final class TraceRowRequest extends RecordRequest
{
    protected function fields(): array
    {
        return [
            'kind' => ['required', Rule::enum(TraceMoment::class)],
            'body' => ['present', 'array'],
            'call' => ['nullable', 'string', 'max:20'],
        ];
    }

    public function moment(): TraceMoment
    {
        return TraceMoment::from($this->text('kind'));
    }

    /** @return array<string, mixed> */
    public function body(): array
    {
        $body = $this->input('body');
        $clean = [];
        foreach (is_array($body) ? $body : [] as $key => $value) {
            $clean[(string) $key] = $value;
        }

        return $clean;
    }
}
