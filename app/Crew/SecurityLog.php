<?php

declare(strict_types=1);

namespace App\Crew;

use App\Models\Crew\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The security log: who came in, who was refused, what was taken out, who changed crews. Lines are written and never
 * changed; no password and no content of a job stands in them. `php artisan unionbit:security-log` shows it.
 */
final class SecurityLog
{
    private const LONGEST = 300;

    public static function write(SecurityKind $kind, string $what, ?User $user = null): void
    {
        self::line($kind, $what, $user?->id, $user?->crew_id);
    }

    /** What somebody did who is not of the crew, or whom nobody knows. */
    public static function ofCrew(SecurityKind $kind, string $what, ?int $crew): void
    {
        self::line($kind, $what, null, $crew);
    }

    private static function line(SecurityKind $kind, string $what, ?int $user, ?int $crew): void
    {
        DB::table('security_events')->insert([
            'kind' => $kind->value,
            'user_id' => $user,
            'crew_id' => $crew,
            'address' => request()->ip(),
            'what' => Str::limit((string) preg_replace('/[\x00-\x1f\x7f]+/u', ' ', $what), self::LONGEST - 3),
            'at' => now(),
        ]);
    }
}
