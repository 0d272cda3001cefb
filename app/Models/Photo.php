<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Crew\User;
use App\Models\Record\AppendOnly;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A photograph of a place of the house, or the reason why none was taken.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property string $place wall, indoor or outdoor
 * @property ?string $path in private storage; null where it was skipped
 * @property ?int $width
 * @property ?int $height
 * @property ?string $skipped reason
 * @property bool $simulated written in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class Photo extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['width' => 'integer', 'height' => 'integer', 'at' => 'datetime'];
    }

    /** @return HasMany<PhotoMark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(PhotoMark::class)->orderBy('seq');
    }
}
