<?php

declare(strict_types=1);

namespace App\Trace;

use App\Records\RecordRequest;

/** The set-up of a test, as the trace protocol has it. */
final class TraceSetupRequest extends RecordRequest
{
    protected function fields(): array
    {
        return ['setup' => ['present', 'array']];
    }

    /** @return array<mixed> */
    public function setup(): array
    {
        $setup = $this->input('setup');

        return is_array($setup) ? $setup : [];
    }
}
