<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A thermostat profile of a crew's own, in the form of the catalogue's files.
 *
 * @property string $id
 * @property int $crew_id
 * @property array<string, mixed> $profile
 */
final class OwnProfile extends Model
{
    use SoftDeletes;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['profile' => 'array'];
}
