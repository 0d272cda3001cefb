<?php

declare(strict_types=1);

namespace App\Crew\Factor;

use App\Crew\Notice;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\User;
use App\Words\Words;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Words\Message;

/** A code of a device beside the password: put on, checked, taken off; ten codes on paper for a lost device. */
final class SecondFactor
{
    public const RECOVERY_CODES = 10;

    /** Wrong codes of a person, by the quarter of an hour. */
    private const TRIES = 5;

    private const WINDOW = 900;

    /** A secret to put into the device; it is theirs once a code of it was given. */
    public static function begin(User $user): string
    {
        $secret = $user->totp_secret !== null && ! $user->hasSecondFactor() ? $user->totp_secret : Totp::secret();
        $user->forceFill(['totp_secret' => $secret])->save();

        return $secret;
    }

    /**
     * @return list<string> the codes on paper, said this once
     *
     * @throws ValidationException where the code is none of the device
     */
    public static function confirm(User $user, string $code): array
    {
        if ($user->hasSecondFactor() || $user->totp_secret === null) {
            throw ValidationException::withMessages(['code' => Words::of('crew.factor.not-begun')]);
        }
        if (! self::isOfDevice($user, $code)) {
            throw ValidationException::withMessages(['code' => Words::of('crew.factor.wrong')]);
        }
        $codes = array_map(
            static fn (): string => rtrim(chunk_split(bin2hex(random_bytes(8)), 4, '-'), '-'),
            range(1, self::RECOVERY_CODES),
        );
        $user->forceFill(['totp_since' => now(), 'recovery_codes' => array_map(self::hash(...), $codes)])->save();
        SecurityLog::write(SecurityKind::FactorOn, '', $user);
        Notice::send($user, Message::of('crew.notice.factor-on', name: $user->name));

        return $codes;
    }

    public static function off(User $user, ?User $by = null): void
    {
        $user
            ->forceFill(['totp_secret' => null, 'totp_since' => null, 'totp_step' => 0, 'recovery_codes' => null])
            ->save();
        SecurityLog::write(SecurityKind::FactorOff, $by === null ? '' : "of {$user->email}", $by ?? $user);
        Notice::send($user, Message::of('crew.notice.factor-off', name: $user->name));
    }

    /**
     * At the door, or before something grave: a code of the device, or one on paper, each once.
     *
     * @throws ValidationException where it is neither, or there were too many tries
     */
    public static function check(User $user, string $code): void
    {
        $key = "factor|{$user->id}";
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            SecurityLog::write(SecurityKind::SignInLimited, 'second factor', $user);
            throw ValidationException::withMessages([
                'code' => Words::of('crew.sign-in.limited', seconds: RateLimiter::availableIn($key)),
            ])->status(429);
        }
        $code = trim($code);
        if (! self::isOfDevice($user, str_replace(' ', '', $code)) && ! self::isOnPaper($user, $code)) {
            RateLimiter::hit($key, self::WINDOW);
            SecurityLog::write(SecurityKind::SignInRefused, 'second factor', $user);
            throw ValidationException::withMessages(['code' => Words::of('crew.factor.wrong')]);
        }
        RateLimiter::clear($key);
    }

    /** Of two that come at once with one code, one gets in: the step is raised by the database. */
    private static function isOfDevice(User $user, string $code): bool
    {
        $step = $user->totp_secret === null ? null : Totp::step($user->totp_secret, $code, now()->getTimestamp());

        return $step !== null &&
            DB::table('users')
                ->where('id', $user->id)
                ->where('totp_step', '<', $step)
                ->update(['totp_step' => $step]) === 1;
    }

    private static function isOnPaper(User $user, string $code): bool
    {
        return DB::transaction(static function () use ($user, $code): bool {
            $held = User::query()->lockForUpdate()->findOrFail($user->id);
            $codes = $held->recovery_codes ?? [];
            $left = array_values(array_diff($codes, [self::hash($code)]));
            if (! $held->hasSecondFactor() || count($left) === count($codes)) {
                return false;
            }
            $held->forceFill(['recovery_codes' => $left])->save();
            $user->refresh();
            SecurityLog::write(SecurityKind::RecoveryUsed, count($left).' left', $user);
            Notice::send($user, Message::of('crew.notice.recovery-used', name: $user->name, left: count($left)));

            return true;
        });
    }

    /** 64 random bits need no slow hash. */
    private static function hash(string $code): string
    {
        return hash('sha256', (string) preg_replace('/[^0-9a-f]/', '', mb_strtolower($code)));
    }
}
