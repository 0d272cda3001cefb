<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Crew\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A reading flagged as unexplained, or the explanation that takes the flag off again.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property string $reading_id
 * @property bool $unexplained
 * @property string $note
 * @property bool $simulated written in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class ReadingMark extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['unexplained' => 'boolean', 'at' => 'datetime'];
    }
}
