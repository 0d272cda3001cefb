<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\House;
use Database\Factories\JobFactory;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A visit to one system of a site. Survey and plan are one shared document with a version; everything measured,
 * seen or entered is in append-only rows of its own.
 *
 * @property string $id
 * @property int $crew_id
 * @property string $site
 * @property string $address
 * @property string $kind
 * @property array<string, mixed> $survey
 * @property ?array<string, mixed> $plan
 * @property int $version
 * @property ?Carbon $surveyed_at
 * @property ?Carbon $planned_at
 * @property ?Carbon $handed_over_at
 * @property Carbon $updated_at
 * @property Carbon $created_at
 */
final class Job extends Model
{
    /** @use HasFactory<JobFactory> */
    use HasFactory, HasUlids;

    protected $guarded = [];

    private ?House $house = null;

    private int $houseVersion = 0;

    protected function casts(): array
    {
        return ['survey' => 'array', 'plan' => 'array', 'surveyed_at' => 'datetime', 'planned_at' => 'datetime', 'handed_over_at' => 'datetime'];
    }

    /** The job as the core sees it. */
    public function house(): House
    {
        if ($this->house === null || $this->houseVersion !== $this->version) {
            $this->house = House::of($this);
            $this->houseVersion = $this->version;
        }

        return $this->house;
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return HasMany<JobRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(JobRevision::class)->orderBy('version');
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class)->orderBy('at')->orderBy('id');
    }

    /** @return HasMany<Observation, $this> */
    public function observations(): HasMany
    {
        return $this->hasMany(Observation::class)->orderBy('at')->orderBy('id');
    }

    /** @return HasMany<SettingEntry, $this> */
    public function settingEntries(): HasMany
    {
        return $this->hasMany(SettingEntry::class)->orderBy('at')->orderBy('id');
    }

    /** @return HasMany<PowerEvent, $this> */
    public function powerEvents(): HasMany
    {
        return $this->hasMany(PowerEvent::class)->orderBy('at')->orderBy('id');
    }

    /** @return HasMany<MoveTick, $this> */
    public function moveTicks(): HasMany
    {
        return $this->hasMany(MoveTick::class)->orderBy('at')->orderBy('id');
    }

    /** @return HasMany<StepEvent, $this> */
    public function stepEvents(): HasMany
    {
        return $this->hasMany(StepEvent::class)->orderBy('at')->orderBy('id');
    }
}
