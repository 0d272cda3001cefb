<?php

declare(strict_types=1);

namespace App\Records;

use App\Web\JobRequest;

/**
 * A row of one of the job's records, under an id that the client made. Its fields are for the kind of record to say.
 */
abstract class RecordRequest extends JobRequest
{
    /** @return array<string, list<mixed>> */
    abstract protected function fields(): array;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['id' => ['required', 'ulid'], ...$this->fields()];
    }
}
