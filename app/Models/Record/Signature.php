<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Crew\User;
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
 * @property bool $simulated written in practice
 * @property int $seq place in the job's order of records, given by the server
 * @property ?string $from_file the name that the file gives, where the row came out of a job file
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

    public const ROLES = ['installer', 'customer'];

    private const MOST_STROKES = 60;

    private const MOST_POINTS = 600;

    /** Whether this is what a signature is made of. Looks at each point once. */
    public static function areStrokes(mixed $strokes): bool
    {
        if (! is_array($strokes) || $strokes === [] || count($strokes) > self::MOST_STROKES) {
            return false;
        }
        foreach ($strokes as $stroke) {
            if (! is_array($stroke) || count($stroke) < 2 || count($stroke) > self::MOST_POINTS) {
                return false;
            }
            foreach ($stroke as $point) {
                if (
                    ! is_array($point) ||
                    array_keys($point) !== [0, 1] ||
                    ! self::within($point[0]) ||
                    ! self::within($point[1])
                ) {
                    return false;
                }
            }
        }

        return array_is_list($strokes);
    }

    private static function within(mixed $number): bool
    {
        return is_int($number) && $number >= 0 && $number <= 1000;
    }
}
