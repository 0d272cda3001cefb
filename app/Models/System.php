<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\SystemFactory;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One thermostat with its equipment, at a site. It is visited again and again.
 *
 * @property string $id
 * @property string $site_id
 * @property string $name
 * @property-read Site $site
 */
final class System extends Model
{
    /** @use HasFactory<SystemFactory> */
    use HasFactory, HasUlids;

    protected $guarded = [];

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return HasMany<Job, $this> */
    public function visits(): HasMany
    {
        return $this->hasMany(Job::class)
            ->whereNull('practice_of_id')
            ->orderByDesc('created_at')
            ->orderByDesc('id');
    }
}
