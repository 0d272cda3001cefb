<?php

declare(strict_types=1);

namespace App\Crew;

use App\Models\Crew\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Where somebody is signed in: one row a session. A device is named by its browser and system, as it says itself. */
final class Devices
{
    private const BROWSERS = [
        'Edg' => 'Edge',
        'OPR' => 'Opera',
        'Firefox' => 'Firefox',
        'Chrom' => 'Chrome',
        'Safari' => 'Safari',
    ];

    private const SYSTEMS = [
        'iPhone' => 'iPhone',
        'iPad' => 'iPad',
        'Android' => 'Android',
        'Windows' => 'Windows',
        'Mac OS' => 'Mac',
        'CrOS' => 'ChromeOS',
        'Linux' => 'Linux',
    ];

    /** @return list<array{id: string, browser: string, system: string, address: string, at: string, here: bool}> */
    public static function of(User $user, string $present): array
    {
        /** @var list<object{id: string, user_agent: ?string, ip_address: ?string, last_activity: int}> $rows */
        $rows = DB::table('sessions')
            ->where('user_id', $user->id)
            ->where('last_activity', '>', now()->getTimestamp() - 60 * config()->integer('session.lifetime'))
            ->orderByDesc('last_activity')
            ->get()
            ->all();

        return array_map(
            static fn (object $s): array => [
                'id' => self::name($s->id),
                'browser' => self::first((string) $s->user_agent, self::BROWSERS),
                'system' => self::first((string) $s->user_agent, self::SYSTEMS),
                'address' => (string) $s->ip_address,
                'at' => now()->setTimestamp($s->last_activity)->toIso8601String(),
                'here' => $s->id === $present,
            ],
            $rows,
        );
    }

    /**
     * Ends one of them, or all but the present one. "Stay signed in" ends with it on every device: there is one token
     * for all of them.
     *
     * @return int how many ended
     */
    public static function end(User $user, string $present, ?string $name): int
    {
        $ends = DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $present)->pluck('id');
        if ($name !== null) {
            $ends = $ends->filter(static fn (mixed $id): bool => is_string($id) && self::name($id) === $name);
        }
        $user->forceFill(['remember_token' => Str::random(60)])->save();

        return DB::table('sessions')->whereIn('id', $ends)->delete();
    }

    public static function endAll(User $user): void
    {
        $user->forceFill(['remember_token' => Str::random(60)])->save();
        DB::table('sessions')->where('user_id', $user->id)->delete();
    }

    /** A session's own id never leaves the server: who has it, has the session. */
    public static function name(string $id): string
    {
        return substr(hash('sha256', $id), 0, 16);
    }

    /** @param  array<string, string>  $names */
    private static function first(string $agent, array $names): string
    {
        foreach ($names as $part => $name) {
            if (str_contains($agent, $part)) {
                return $name;
            }
        }

        return '';
    }
}
