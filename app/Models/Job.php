<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Crew\Crew;
use App\Models\Kind\TraceMoment;
use App\Models\Kind\VisitKind;
use App\Models\Record\Measurement;
use App\Models\Record\MoveTick;
use App\Models\Record\Observation;
use App\Models\Record\PowerEvent;
use App\Models\Record\Reading;
use App\Models\Record\ReadingMark;
use App\Models\Record\SettingEntry;
use App\Models\Record\Signature;
use App\Models\Record\StepEvent;
use App\Models\Record\TemporaryThing;
use App\Models\Record\Waiver;
use App\Models\Tracing\TraceRow;
use Database\Factories\JobFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A visit to one system of a site. Survey and plan are one shared document with a version; everything measured,
 * seen or entered is in append-only rows of its own.
 *
 * @property string $id
 * @property int $crew_id
 * @property string $system_id
 * @property ?string $earlier_id the visit that this one follows
 * @property-read string $site name of the site
 * @property-read string $address of the site
 * @property-read string $system_name; these three as they were when it was handed over
 * @property VisitKind $kind
 * @property ?Carbon $day on which it is planned
 * @property ?int $starts_at minutes after midnight
 * @property ?string $who van or person
 * @property ?Carbon $archived_at
 * @property ?Carbon $deleted_at
 * @property-read System $system
 * @property ?string $origin_id the id that it had where its file was written
 * @property array<string, mixed> $survey
 * @property ?array<string, mixed> $plan
 * @property int $version
 * @property ?string $practice the hidden fault of a practice copy, empty for a healthy house, null where it is real
 * @property ?string $practice_of_id the job that this one is a practice copy of
 * @property ?int $practice_user_id who practises on it
 * @property bool $demo demo data: its readings are made by the circuit
 * @property int $recorded records written so far: the place of the last one in the job's order
 * @property ?Carbon $imported_at when its records came out of a job file
 * @property ?int $away_by_id who archived or deleted it
 * @property ?array{site: string, address: string, system: string, crew: string, unsigned: list<string>} $handed_over_as
 * @property ?Carbon $surveyed_at
 * @property ?Carbon $planned_at
 * @property ?Carbon $handed_over_at
 * @property Carbon $updated_at
 * @property Carbon $created_at
 */
final class Job extends Model
{
    /** @use HasFactory<JobFactory> */
    use HasFactory, HasUlids, SoftDeletes;

    protected $guarded = [];

    protected $with = ['system.site'];

    protected function casts(): array
    {
        return [
            'kind' => VisitKind::class,
            'survey' => 'array',
            'plan' => 'array',
            'surveyed_at' => 'datetime',
            'planned_at' => 'datetime',
            'handed_over_at' => 'datetime',
            'archived_at' => 'datetime',
            'imported_at' => 'datetime',
            'handed_over_as' => 'array',
            'demo' => 'boolean',
            'recorded' => 'integer',
            'day' => 'date',
            'starts_at' => 'integer',
        ];
    }

    /** @return Attribute<string, never> */
    protected function site(): Attribute
    {
        return Attribute::get(fn (): string => $this->handed_over_as['site'] ?? $this->system->site->name);
    }

    /** @return Attribute<string, never> */
    protected function address(): Attribute
    {
        return Attribute::get(fn (): string => $this->handed_over_as['address'] ?? $this->system->site->address);
    }

    /** @return Attribute<string, never> */
    protected function systemName(): Attribute
    {
        return Attribute::get(fn (): string => $this->handed_over_as['system'] ?? $this->system->name);
    }

    /** A copy of a job to practise on: nothing of it touches the real one. */
    public function isPractice(): bool
    {
        return $this->practice_of_id !== null;
    }

    /**
     * Of these records, those that count here. In a real job nothing simulated does; in practice everything is.
     *
     * @template T of Model
     *
     * @param  HasMany<T, $this>  $records
     * @return HasMany<T, $this>
     */
    public function counting(HasMany $records): HasMany
    {
        return $this->isPractice() ? $records : $records->where('simulated', false);
    }

    /**
     * Of these records of proofs, those that were made on the thermostat that stands now: what was proved on the old
     * one, before it came off, says nothing of the new.
     *
     * @template T of Model
     *
     * @param  HasMany<T, $this>  $records
     * @param  ?int  $before  place in the job's order before which they stand; null for all
     * @return HasMany<T, $this>
     */
    public function proving(HasMany $records, bool $asFound, ?int $before = null): HasMany
    {
        $of = $this->counting($records)->where('as_found', $asFound);

        return $before === null ? $of : $of->where('seq', '<', $before);
    }

    /** A visit that leaves the thermostat where it is, unless a plan says otherwise. */
    public function isService(): bool
    {
        return $this->plan === null && ! $this->kind->replaces();
    }

    /** The job of a site by its name, for seeds and tests. */
    public static function at(string $site): self
    {
        return self::query()
            ->whereNull('practice_of_id')
            ->whereHas('system.site', static fn (Builder $sites): Builder => $sites->where('name', $site))
            ->sole();
    }

    /** @return BelongsTo<System, $this> */
    public function system(): BelongsTo
    {
        return $this->belongsTo(System::class);
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class)->orderBy('seq');
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** How many of all its records are marked as simulated. */
    public function simulatedRecords(): int
    {
        return array_sum(
            array_map(static fn (HasMany $records): int => $records->where('simulated', true)->count(), [
                $this->readings(),
                $this->readingMarks(),
                $this->observations(),
                $this->measurements(),
                $this->powerEvents(),
                $this->stepEvents(),
                $this->temporaryThings(),
                $this->traceRows(),
                $this->moveTicks(),
                $this->settingEntries(),
                $this->waivers(),
                $this->signatures(),
                $this->photos(),
            ]),
        );
    }

    /** @return HasMany<JobRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(JobRevision::class)->orderBy('version');
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class)->orderBy('seq');
    }

    /** @return HasMany<Observation, $this> */
    public function observations(): HasMany
    {
        return $this->hasMany(Observation::class)->orderBy('seq');
    }

    /** @return HasMany<SettingEntry, $this> */
    public function settingEntries(): HasMany
    {
        return $this->hasMany(SettingEntry::class)->orderBy('seq');
    }

    /** @return HasMany<PowerEvent, $this> */
    public function powerEvents(): HasMany
    {
        return $this->hasMany(PowerEvent::class)->orderBy('seq');
    }

    /** @return HasMany<MoveTick, $this> */
    public function moveTicks(): HasMany
    {
        return $this->hasMany(MoveTick::class)->orderBy('seq');
    }

    /** @return HasMany<Waiver, $this> */
    public function waivers(): HasMany
    {
        return $this->hasMany(Waiver::class)->orderBy('seq');
    }

    /** @return HasMany<Signature, $this> */
    public function signatures(): HasMany
    {
        return $this->hasMany(Signature::class)->orderBy('seq');
    }

    /** @return HasMany<StepEvent, $this> */
    public function stepEvents(): HasMany
    {
        return $this->hasMany(StepEvent::class)->orderBy('seq');
    }

    /** @return HasMany<TemporaryThing, $this> */
    public function temporaryThings(): HasMany
    {
        return $this->hasMany(TemporaryThing::class)->orderBy('seq');
    }

    /** @return HasMany<TraceRow, $this> */
    public function traceRows(): HasMany
    {
        return $this->hasMany(TraceRow::class)->orderBy('seq');
    }

    /** The fault that is open in Trace; null where none is. */
    public function openFault(): ?TraceRow
    {
        $rows = $this->counting($this->traceRows())->whereIn('kind', [TraceMoment::Open, TraceMoment::Close]);
        $last = $rows->reorder()->orderByDesc('seq')->first();

        return $last?->kind === TraceMoment::Open ? $last : null;
    }

    /** @return HasMany<Measurement, $this> */
    public function measurements(): HasMany
    {
        return $this->hasMany(Measurement::class)->orderBy('seq');
    }

    /** @return HasMany<ReadingMark, $this> */
    public function readingMarks(): HasMany
    {
        return $this->hasMany(ReadingMark::class)->orderBy('seq');
    }
}
