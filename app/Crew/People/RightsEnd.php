<?php

declare(strict_types=1);

namespace App\Crew\People;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Door\DoorKind;
use App\Models\Door\DoorLink;
use App\Models\Share\ShareLink;
use App\Models\User;
use Illuminate\Support\Facades\Auth;

/**
 * What somebody gave out ends with the right that they gave it by: invitations and new passwords with leading a crew,
 * links to a house with deciding on it, all of it with being of the crew. It does not come back with the right.
 */
final class RightsEnd
{
    /** A person was changed: role, crew, whether they are of it. */
    public static function changed(User $person): void
    {
        if (! $person->wasChanged(['role', 'crew_id', 'deactivated_at', 'forgotten_at'])) {
            return;
        }
        $out = ! $person->isActive() || $person->wasChanged('crew_id');
        $doors = DoorLink::query()->open();
        $doors->where(static function ($link) use ($person, $out): void {
            $link->whereRaw('1 = 0');
            if ($out || ! $person->role->leads()) {
                $link->orWhere('made_by_id', $person->id);
            }
            if ($out) {
                $link->orWhere(
                    static fn ($own) => $own->where('user_id', $person->id)->where('kind', DoorKind::Password),
                );
            }
        });
        self::end($doors->get()->all(), SecurityKind::LinkRevoked, $person);
        if ($out || ! $person->role->decides()) {
            $shares = ShareLink::query()->open()->where('user_id', $person->id);
            self::end($shares->get()->all(), SecurityKind::ShareRevoked, $person);
        }
    }

    /** @param  array<DoorLink|ShareLink>  $links */
    private static function end(array $links, SecurityKind $kind, User $person): void
    {
        $by = Auth::user();
        foreach ($links as $link) {
            $link->forceFill(['revoked_at' => now()])->save();
            SecurityLog::write(
                $kind,
                "link {$link->id} of person {$person->id}, with the right to it",
                $by instanceof User ? $by : null,
            );
        }
    }
}
