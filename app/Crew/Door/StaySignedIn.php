<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Models\Crew\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;

/**
 * How long somebody stays signed in after they gave their password: thirty days at most, however often they come. A
 * device that stays carries, encrypted, when that was; without it, or later, it is asked anew. It stands for the
 * password alone: whoever has a second factor is asked for a code whenever the session itself has ended.
 */
final class StaySignedIn
{
    public const DAYS = 30;

    private const SINCE = 'signed-in-at';

    /** Somebody came in. With no moment given they gave their password now. */
    public static function begin(Request $request, User $user, bool $remember, ?int $since = null): void
    {
        $since ??= now()->getTimestamp();
        $request->session()->put(self::SINCE, $since);
        if ($remember) {
            Cookie::queue(
                self::cookie(),
                implode('|', [$user->id, $since, self::sum($user)]),
                intdiv($since + self::DAYS * 86400 - now()->getTimestamp(), 60),
                secure: $request->isSecure(),
            );
        }
    }

    /** When who is signed in gave their password; null where it is over, or nobody can say. */
    public static function since(Request $request, User $user): ?int
    {
        $kept = $request->session()->get(self::SINCE);
        $now = now()->getTimestamp();
        if (! is_int($kept)) {
            $kept = Auth::guard('web')->viaRemember() ? self::ofDevice($request, $user) : $now;
        }
        if ($kept === null || $now - $kept > self::DAYS * 86400) {
            return null;
        }
        // A clock that was set back does not give anybody more time.
        $kept = min($kept, $now);
        $request->session()->put(self::SINCE, $kept);

        return $kept;
    }

    public static function end(Request $request): void
    {
        Auth::guard('web')->logoutCurrentDevice();
        $request->session()->invalidate();
        Cookie::expire(self::cookie());
    }

    private static function ofDevice(Request $request, User $user): ?int
    {
        $kept = $request->cookie(self::cookie());
        [$id, $since, $sum] = [...explode('|', is_string($kept) ? $kept : ''), '', '', ''];

        return $id === (string) $user->id && ctype_digit($since) && hash_equals(self::sum($user), $sum)
            ? (int) $since
            : null;
    }

    /** Of the token of "stay signed in" as it is now: changed with the password, ended with the devices. */
    private static function sum(User $user): string
    {
        return hash('sha256', (string) $user->getRememberToken());
    }

    private static function cookie(): string
    {
        return config('session.secure') === true ? '__Host-stays' : 'stays';
    }
}
