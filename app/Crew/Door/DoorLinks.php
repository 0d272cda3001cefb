<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Crew\Notice;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Door\DoorKind;
use App\Models\Door\DoorLink;
use App\Words\Words;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Unionbit\Core\Words\Message;

/** Links that let one person in once: made, mailed, used, revoked. */
final class DoorLinks
{
    /** @return array{link: DoorLink, url: string, mailed: bool} the address is said this once */
    public static function invite(Crew $crew, string $email, Role $role, ?User $by): array
    {
        $link = new DoorLink(['crew_id' => $crew->id, 'kind' => DoorKind::Invitation, 'role' => $role]);

        return self::make($link, $email, $by, Words::of('crew.mail.invitation', crew: $crew->name, role: $role));
    }

    /** @return array{link: DoorLink, url: string, mailed: bool} */
    public static function newPassword(User $user, ?User $by): array
    {
        $link = new DoorLink([
            'crew_id' => $user->crew_id,
            'kind' => DoorKind::Password,
            'user_id' => $user->id,
            'role' => $user->role,
        ]);

        return self::make($link, $user->email, $by, Words::of('crew.mail.password', name: $user->name));
    }

    /** The link that this address opens, while it does. */
    public static function find(#[\SensitiveParameter] string $token): ?DoorLink
    {
        return DoorLink::query()
            ->open()
            ->with(['crew', 'user'])
            ->where('token', LinkToken::sum($token))
            ->first();
    }

    /** Lets in whom it was made for, with their new password; nobody a second time. */
    public static function use(DoorLink $link, string $name, #[\SensitiveParameter] string $password): ?User
    {
        return DB::transaction(static function () use ($link, $name, $password): ?User {
            $won = DoorLink::query()
                ->open()
                ->whereKey($link->id)
                ->update(['used_at' => now()]);
            if ($won !== 1) {
                return null;
            }
            $user =
                $link->user ?? new User(['crew_id' => $link->crew_id, 'email' => $link->email, 'name' => $name]);
            if (! $user->exists) {
                $user->role = $link->role;
            }
            $user->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save();
            DB::table('sessions')->where('user_id', $user->id)->delete();
            self::others($link)->update(['revoked_at' => now()]);
            SecurityLog::write(SecurityKind::LinkUsed, $link->kind->value, $user);
            if ($link->kind === DoorKind::Password) {
                Notice::send($user, Message::of('crew.notice.password', name: $user->name));
            }

            return $user;
        });
    }

    public static function revoke(DoorLink $link, ?User $by): void
    {
        $link->forceFill(['revoked_at' => now()])->save();
        SecurityLog::write(SecurityKind::LinkRevoked, "{$link->kind->value} {$link->email}", $by);
    }

    /** @return array{link: DoorLink, url: string, mailed: bool} */
    private static function make(DoorLink $link, string $email, ?User $by, string $says): array
    {
        $token = LinkToken::make();
        $url = url("/door/{$token}");
        $link->forceFill([
            'email' => mb_strtolower($email),
            'token' => LinkToken::sum($token),
            'made_by_id' => $by?->id,
            'ends_at' => now()->addHours($link->kind->hours()),
        ]);
        DB::transaction(static function () use ($link): void {
            self::others($link)->update(['revoked_at' => now()]);
            $link->save();
        });
        SecurityLog::write(SecurityKind::LinkMade, "{$link->kind->value} {$link->email}", $by ?? $link->user);
        $ends = Words::of('crew.mail.ends', hours: $link->kind->hours());
        $mailed = Notice::mail($link->email, Words::of('crew.mail.subject'), "{$says}\n\n{$ends}", $url);

        return ['link' => $link, 'url' => $url, 'mailed' => $mailed && Notice::goesOut()];
    }

    /** @return Builder<DoorLink> what a newer one, or one that was used, takes the place of */
    private static function others(DoorLink $link): Builder
    {
        return DoorLink::query()
            ->open()
            ->where('crew_id', $link->crew_id)
            ->where('kind', $link->kind)
            ->where('email', $link->email)
            ->whereKeyNot($link->id ?? 0);
    }
}
