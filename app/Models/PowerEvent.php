<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\AppendOnly;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A change of the power flag, with the reading that stands behind it.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property string $state
 * @property ?float $volts
 * @property bool $meter_proved
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
        return ['volts' => 'float', 'meter_proved' => 'boolean', 'at' => 'datetime'];
    }
}
