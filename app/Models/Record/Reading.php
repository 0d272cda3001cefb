<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Crew\User;
use App\Models\Kind\PowerState;
use App\Models\Kind\Stage;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Step\Outcome;

/**
 * A meter reading with what was expected of it and how it was judged.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property Stage $stage
 * @property ?string $step
 * @property ?string $call
 * @property MeterMode $mode
 * @property string $a
 * @property string $b
 * @property ?float $value in the unit of the mode; null is over-limit
 * @property PowerState $power
 * @property array<string, mixed> $expected
 * @property Outcome $outcome
 * @property string $reason
 * @property list<string> $candidates
 * @property ?string $corrects_id
 * @property bool $as_found made on the thermostat that was found, not on the planned one
 * @property bool $simulated from the simulated meter, in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class Reading extends Model
{
    use AppendOnly;

    /** Where a reading can be taken. */
    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'power' => PowerState::class,
            'mode' => MeterMode::class,
            'outcome' => Outcome::class,
            'stage' => Stage::class,
            'value' => 'float',
            'expected' => 'array',
            'candidates' => 'array',
            'simulated' => 'boolean',
            'as_found' => 'boolean',
            'at' => 'datetime',
        ];
    }
}
