<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Crew\User;
use App\Models\Kind\PowerState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A change of the power flag, with the reading that stands behind it.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property PowerState $state
 * @property ?float $volts the reading that says least for the state: the highest dead one, the lowest live one
 * @property ?array<string, float> $supplies volts by supply; null in an event from before supplies were named
 * @property ?list<string> $despite what was still open when it was made live all the same
 * @property bool $meter_proved
 * @property bool $simulated written in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class PowerEvent extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'state' => PowerState::class,
            'volts' => 'float',
            'supplies' => 'array',
            'despite' => 'array',
            'meter_proved' => 'boolean',
            'at' => 'datetime',
        ];
    }
}
