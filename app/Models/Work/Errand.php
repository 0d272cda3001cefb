<?php

declare(strict_types=1);

namespace App\Models\Work;

use App\Models\Crew\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A long piece of work that somebody asked for: a PDF, a photograph to be drawn anew, files to be read, a backup.
 *
 * @property string $id made by the client: asked for twice, it is done once
 * @property int $crew_id
 * @property int $user_id
 * @property string $kind
 * @property ?string $job_id the house that it is about
 * @property ErrandState $state
 * @property array<string, mixed> $input
 * @property int $done parts that are through
 * @property int $of parts altogether; 0 until it is known
 * @property ?array<string, mixed> $result
 * @property ?array<string, list<string>> $errors by field, where it was refused
 * @property int $status the answer's, once it is through
 * @property int $begun how often it was
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read User $user
 */
final class Errand extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['state' => ErrandState::class, 'input' => 'array', 'result' => 'array', 'errors' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * Asked for, and not through.
     *
     * @param  Builder<self>  $query
     */
    public function scopeOpen(Builder $query): void
    {
        $query->whereIn('state', [ErrandState::Waiting, ErrandState::Running]);
    }

    /** The folder of what it was given and what it makes, on the private disk. */
    public function folder(): string
    {
        return "errands/{$this->id}";
    }

    /** One thing that it was given. */
    public function text(string $key): string
    {
        $value = $this->input[$key] ?? '';

        return is_string($value) ? $value : '';
    }

    /** So far it is: seen by whoever waits. */
    public function tell(int $done, int $of): void
    {
        $this->forceFill(['done' => $done, 'of' => $of])->save();
    }
}
