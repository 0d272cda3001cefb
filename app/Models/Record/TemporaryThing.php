<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Crew\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Asked\Thing\ThingKind;

/**
 * Something put on for a test, or put back.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property ThingKind $kind
 * @property string $a
 * @property string $b
 * @property bool $stands put on; put back where it is false
 * @property bool $simulated written in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class TemporaryThing extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** Null for what no house has under that name. */
    public function thing(): ?Thing
    {
        return $this->kind->read($this->a, $this->b);
    }

    protected function casts(): array
    {
        return ['kind' => ThingKind::class, 'stands' => 'boolean', 'at' => 'datetime'];
    }
}
