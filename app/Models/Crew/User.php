<?php

declare(strict_types=1);

namespace App\Models\Crew;

use App\Words\Units;
use Database\Factories\Crew\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $crew_id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property ?array<mixed> $settings
 * @property ?Carbon $deactivated_at no longer of the crew: cannot come in, the records keep the name
 * @property ?Carbon $forgotten_at their data is gone, the records name nobody
 * @property ?string $totp_secret base32, encrypted on the disk; theirs once `totp_since` is set
 * @property ?Carbon $totp_since
 * @property int $totp_step the last time step that a code was taken of: none is taken twice
 * @property ?list<string> $recovery_codes SHA-256 of those not used yet, encrypted on the disk
 * @property-read Crew $crew
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'totp_secret', 'recovery_codes'];

    /** @var array<string, mixed> */
    protected $attributes = [
        'role' => 'installer',
        'remember_token' => null,
        'settings' => null,
        'deactivated_at' => null,
        'forgotten_at' => null,
        'totp_secret' => null,
        'totp_since' => null,
        'totp_step' => 0,
        'recovery_codes' => null,
    ];

    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'role' => Role::class,
            'settings' => 'array',
            'deactivated_at' => 'datetime',
            'forgotten_at' => 'datetime',
            'totp_secret' => 'encrypted',
            'totp_since' => 'datetime',
            'recovery_codes' => 'encrypted:array',
        ];
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    public function preferences(): Preferences
    {
        return Preferences::read($this->settings ?? []);
    }

    /** Their own units, or the crew's. */
    public function units(): Units
    {
        return $this->preferences()->units ?? $this->loadMissing('crew')->crew->units;
    }

    public function isActive(): bool
    {
        return $this->deactivated_at === null;
    }

    /** A code of a device is asked for beside the password. */
    public function hasSecondFactor(): bool
    {
        return $this->totp_since !== null;
    }
}
