<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Crew\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Proving\Step\Outcome;

/**
 * What a person saw or heard of a call.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property string $step
 * @property string $sign
 * @property bool $seen
 * @property ?SignAnswer $how what it was where it was neither yes nor no
 * @property Outcome $outcome
 * @property string $reason
 * @property bool $as_found made on the thermostat that was found, not on the planned one
 * @property bool $simulated from the simulated house, in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class Observation extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'how' => SignAnswer::class,
            'outcome' => Outcome::class,
            'seen' => 'boolean',
            'simulated' => 'boolean',
            'as_found' => 'boolean',
            'at' => 'datetime',
        ];
    }
}
