<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Crew\User;
use App\Models\Record\AppendOnly;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One version of a job's shared document.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property int $version
 * @property string $what
 * @property array<string, mixed> $survey
 * @property ?array<string, mixed> $plan
 * @property Carbon $created_at
 * @property-read User $user
 */
final class JobRevision extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['survey' => 'array', 'plan' => 'array'];
    }
}
