<?php

declare(strict_types=1);

namespace App\Share;

use App\Crew\Door\DoorLinks;
use App\Models\Crew\User;
use App\Models\Door\DoorKind;
use App\Models\Door\DoorLink;
use App\Models\Share\ShareLink;
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
        $by = Auth::user();
        $by = $by instanceof User ? $by : null;
        $doors = DoorLink::query()->open();
        foreach ($out || ! $person->role->leads() ? $doors->where('made_by_id', $person->id)->get() : [] as $link) {
            DoorLinks::revoke($link, $by);
        }
        $own = DoorLink::query()->open()->where('kind', DoorKind::Password)->where('user_id', $person->id);
        foreach ($out ? $own->get() : [] as $link) {
            DoorLinks::revoke($link, $by);
        }
        $shares = ShareLink::query()->open()->where('user_id', $person->id);
        foreach ($out || ! $person->role->decides() ? $shares->get() : [] as $link) {
            ShareLinks::revoke($link, $by);
        }
    }
}
