<?php

declare(strict_types=1);

namespace App\Models\Share;

use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link by which somebody outside the crew reads chosen parts of one house, until it ends or is taken back. What the
 * link holds is not kept, only its SHA-256.
 *
 * @property int $id
 * @property string $job_id
 * @property string $token SHA-256 of what stands in the link
 * @property string $label for whom it is
 * @property list<string> $parts values of SharePart
 * @property int $user_id
 * @property Carbon $ends_at
 * @property ?Carbon $revoked_at
 * @property int $opened how often
 * @property ?Carbon $opened_at last
 * @property Carbon $created_at
 * @property-read ?Job $job none where it was deleted
 * @property-read User $user
 */
final class ShareLink extends Model
{
    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['revoked_at' => null, 'opened' => 0, 'opened_at' => null];

    protected function casts(): array
    {
        return ['parts' => 'array', 'ends_at' => 'datetime', 'revoked_at' => 'datetime', 'opened_at' => 'datetime'];
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function shows(SharePart $part): bool
    {
        return in_array($part->value, $this->parts, true);
    }

    /** @return list<SharePart> in their order */
    public function shown(): array
    {
        return array_values(array_filter(SharePart::cases(), $this->shows(...)));
    }

    /** @param  Builder<self>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('revoked_at')->where('ends_at', '>', now());
    }
}
