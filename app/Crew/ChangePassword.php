<?php

declare(strict_types=1);

namespace App\Crew;

use App\Models\User;
use App\Words\Words;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Another password: the present one is asked for, and every other session of this person ends. */
final class ChangePassword
{
    /** @param  ?string  $session  the one that goes on */
    public static function of(
        User $user,
        #[\SensitiveParameter] string $present,
        #[\SensitiveParameter] string $new,
        ?string $session,
    ): void {
        if (! Hash::check($present, $user->password)) {
            SecurityLog::write(SecurityKind::Refused, 'change of password: the present one was wrong', $user);
            throw ValidationException::withMessages(['present' => Words::of('crew.password.present-wrong')]);
        }
        DB::transaction(static function () use ($user, $new, $session): void {
            $user->forceFill(['password' => $new, 'remember_token' => Str::random(60)])->save();
            DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', (string) $session)->delete();
            SecurityLog::write(SecurityKind::PasswordChanged, 'other sessions ended', $user);
        });
    }
}
