<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\User;
use App\Words\Words;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/**
 * Who is who: by e-mail address and password, limited by account and by address. A name that nobody has costs the same
 * work as one that somebody has: one password is checked either way.
 */
final class SignIn
{
    /** Failed tries a minute: for one account, from wherever; and from one address, for whatever account. */
    private const BY_ACCOUNT = 5;

    private const BY_ADDRESS = 30;

    /** @throws ValidationException where they do not go together, or there were too many tries */
    public static function user(string $email, #[\SensitiveParameter] string $password, ?string $address): User
    {
        $account = mb_strtolower(trim($email));
        $keys = [
            "sign-in|account|{$account}" => self::BY_ACCOUNT,
            "sign-in|address|{$address}" => self::BY_ADDRESS,
        ];
        foreach ($keys as $key => $tries) {
            if (RateLimiter::tooManyAttempts($key, $tries)) {
                SecurityLog::write(SecurityKind::SignInLimited, $account);
                $seconds = RateLimiter::availableIn($key);
                throw ValidationException::withMessages([
                    'email' => Words::of('crew.sign-in.limited', seconds: $seconds),
                ])->status(429);
            }
        }
        $user = User::query()->where('email', $account)->first();
        $fits = Hash::check($password, $user->password ?? self::nobody());
        if ($user === null || ! $fits) {
            array_map(RateLimiter::hit(...), array_keys($keys));
            SecurityLog::write(SecurityKind::SignInRefused, $account, $user);
            throw ValidationException::withMessages(['email' => Words::of('crew.sign-in.wrong')]);
        }
        RateLimiter::clear("sign-in|account|{$account}");
        if (! $user->isActive()) {
            SecurityLog::write(SecurityKind::SignInRefused, "{$account}: deactivated", $user);
            throw ValidationException::withMessages(['email' => Words::of('crew.sign-in.deactivated')]);
        }

        return $user;
    }

    /** A password that nobody has, hashed at the same cost as everybody's. */
    private static function nobody(): string
    {
        return cache()->rememberForever(
            'sign-in/nobody',
            static fn (): string => Hash::make(bin2hex(random_bytes(16))),
        );
    }
}
