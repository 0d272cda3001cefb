<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Record\AppendOnly;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A spot of a photograph that is a conductor's end, or the taking back of one.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property string $photo_id
 * @property float $x share of the width, from the left
 * @property float $y share of the height, from the top
 * @property string $end "A3.near"
 * @property ?string $takes_back_id
 * @property bool $simulated written in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 */
final class PhotoMark extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['x' => 'float', 'y' => 'float', 'at' => 'datetime'];
    }
}
