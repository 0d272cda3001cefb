<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\SiteFactory;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A house or other place with one or more systems.
 *
 * @property string $id
 * @property int $crew_id
 * @property string $name
 * @property string $address
 */
final class Site extends Model
{
    /** @use HasFactory<SiteFactory> */
    use HasFactory, HasUlids;

    protected $guarded = [];

    /** @return HasMany<System, $this> */
    public function systems(): HasMany
    {
        return $this->hasMany(System::class);
    }
}
