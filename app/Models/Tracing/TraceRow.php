<?php

declare(strict_types=1);

namespace App\Models\Tracing;

use App\Models\Crew\User;
use App\Models\Kind\TraceMoment;
use App\Models\Record\AppendOnly;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a trace adds to a job's readings and signs.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property TraceMoment $kind
 * @property array<string, mixed> $body as the trace protocol has it
 * @property bool $simulated written in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class TraceRow extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => TraceMoment::class, 'body' => 'array', 'at' => 'datetime'];
    }
}
