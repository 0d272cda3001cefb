<?php

declare(strict_types=1);

namespace App\Crew;

use App\Models\Crew\User;
use App\Words\Words;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Words\Message;

/** Another password: the present one is asked for, and every other session of this person ends. */
final class ChangePassword
{
    /** Wrong present passwords of a person who is signed in, a minute. */
    private const TRIES = 5;

    /** @param  ?string  $session  the one that goes on */
    public static function of(
        User $user,
        #[\SensitiveParameter] string $present,
        #[\SensitiveParameter] string $new,
        ?string $session,
    ): void {
        self::confirm($user, $present, 'present');
        DB::transaction(static function () use ($user, $new, $session): void {
            $user->forceFill(['password' => $new, 'remember_token' => Str::random(60)])->save();
            DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', (string) $session)->delete();
            SecurityLog::write(SecurityKind::PasswordChanged, 'other sessions ended', $user);
        });
        Notice::send($user, Message::of('crew.notice.password', name: $user->name));
    }

    /** Before something grave: it is they who sit there. */
    public static function confirm(User $user, #[\SensitiveParameter] string $present, string $field): void
    {
        $key = "present|{$user->id}";
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw ValidationException::withMessages([
                $field => Words::of('crew.sign-in.limited', seconds: RateLimiter::availableIn($key)),
            ])->status(429);
        }
        if (! Hash::check($present, $user->password)) {
            RateLimiter::hit($key);
            SecurityLog::write(SecurityKind::Refused, 'the present password was wrong', $user);
            throw ValidationException::withMessages([$field => Words::of('crew.password.present-wrong')]);
        }
        RateLimiter::clear($key);
    }
}
