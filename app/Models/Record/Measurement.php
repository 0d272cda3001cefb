<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Crew\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A temperature split or an airflow as it was measured, with what the figure makes of it.
 *
 * @property string $id
 * @property string $job_id
 * @property int $user_id
 * @property MeasuredFigure $figure
 * @property ?string $call
 * @property array<string, float> $inputs in US units
 * @property list<array{label: string, value: ?float, unit: string, formula: string}> $lines
 * @property string $tone
 * @property string $verdict
 * @property bool $simulated taken in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
 * @property Carbon $at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class Measurement extends Model
{
    use AppendOnly;

    /** Figures that a person measures on the visit. */
    public const UPDATED_AT = null;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'figure' => MeasuredFigure::class,
            'inputs' => 'array',
            'lines' => 'array',
            'simulated' => 'boolean',
            'at' => 'datetime',
        ];
    }
}
