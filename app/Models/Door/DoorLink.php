<?php

declare(strict_types=1);

namespace App\Models\Door;

use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link that lets one person in once: an invitation to a crew, or a new password. What the link holds is not kept,
 * only its SHA-256.
 *
 * @property int $id
 * @property int $crew_id
 * @property DoorKind $kind
 * @property ?int $user_id whose password; none for somebody new
 * @property string $email
 * @property Role $role
 * @property string $token SHA-256 of what stands in the link
 * @property ?int $made_by_id
 * @property Carbon $ends_at
 * @property ?Carbon $used_at
 * @property ?Carbon $revoked_at
 * @property Carbon $created_at
 * @property-read Crew $crew
 * @property-read ?User $user
 */
final class DoorLink extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'kind' => DoorKind::class,
            'role' => Role::class,
            'ends_at' => 'datetime',
            'used_at' => 'datetime',
            'revoked_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @param  Builder<self>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('used_at')->whereNull('revoked_at')->where('ends_at', '>', now());
    }
}
