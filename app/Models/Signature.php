<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\AppendOnly;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A signature under a handover: strokes as JSON, lists of points from 0 to 1000.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property string $role installer or customer
 * @property string $name
 * @property string $strokes
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class Signature extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['at' => 'datetime'];
    }
}
