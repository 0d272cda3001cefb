<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\AppendOnly;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A move of the landing list done, or taken back.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property string $move
 * @property bool $done
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class MoveTick extends Model
{
    use AppendOnly;

    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['done' => 'boolean', 'at' => 'datetime'];
    }
}
