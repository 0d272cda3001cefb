<?php

declare(strict_types=1);

namespace App\Crew;

use Illuminate\Support\Facades\DB;

/** Rows that anybody can make who knocks at a door: bounded by age and by number. */
final class Visits
{
    /** Seconds that a session is kept in which nobody signed in. */
    private const NOBODY = 7200;

    /** Sessions of nobody, and lines of refusals, that are kept. */
    private const MOST = 10_000;

    private const REFUSALS = [
        SecurityKind::SignInRefused,
        SecurityKind::SignInLimited,
        SecurityKind::Refused,
        SecurityKind::ShareOpened,
    ];

    /** @return int sessions that nobody comes back to */
    public static function tidy(int $now): int
    {
        $idle = $now - 60 * config()->integer('session.lifetime');
        $gone = DB::table('sessions')->where('last_activity', '<', $idle)->delete();
        $nobody = static fn () => DB::table('sessions')->whereNull('user_id');
        $gone += $nobody()
            ->where('last_activity', '<', $now - self::NOBODY)
            ->delete();
        $last = $nobody()->orderByDesc('last_activity')->skip(self::MOST)->value('last_activity');

        return $gone + (is_numeric($last) ? $nobody()->where('last_activity', '<=', (int) $last)->delete() : 0);
    }

    /** @return int the oldest lines of the security log of what somebody could make a great many of */
    public static function tidyRefusals(): int
    {
        $refusals = static fn () => DB::table('security_events')->whereIn('kind', self::REFUSALS);
        $last = $refusals()->orderByDesc('id')->skip(self::MOST)->value('id');

        return is_numeric($last) ? $refusals()->where('id', '<=', (int) $last)->delete() : 0;
    }
}
