<?php

declare(strict_types=1);

namespace App\Models\Crew;

use App\Words\Units;
use Database\Factories\Crew\CrewFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * The people who share jobs.
 *
 * @property int $id
 * @property string $name
 * @property Units $units
 */
final class Crew extends Model
{
    /** @use HasFactory<CrewFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['units' => 'us'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['units' => Units::class];
    }

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }
}
