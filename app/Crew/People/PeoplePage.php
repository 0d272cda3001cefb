<?php

declare(strict_types=1);

namespace App\Crew\People;

use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Door\DoorLink;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Unionbit\Core\Words\Message;

/** The people of a crew; for its lead also the links that are out and the last lines of the security log. */
final class PeoplePage
{
    private const LOG = 40;

    /** @return array<string, mixed> */
    public static function props(User $user): array
    {
        $leads = $user->role->leads();

        return [
            'people' => array_map(
                static fn (User $p): array => self::person($p, $user),
                array_values(
                    User::query()
                        ->where('crew_id', $user->crew_id)
                        ->whereNull('forgotten_at')
                        ->orderByRaw('deactivated_at is not null')
                        ->orderBy('id')
                        ->get()
                        ->all(),
                ),
            ),
            'roles' => array_map(
                static fn (Role $r): array => [
                    'value' => $r->value,
                    'label' => Message::term($r),
                    'may' => Message::of('crew.role.may', role: $r->value),
                ],
                Role::cases(),
            ),
            'leads' => $leads,
            'crewUnits' => $user->crew->units->value,
            'links' => $leads ? self::links($user) : [],
            'shares' => $leads ? ShareRows::ofCrew($user) : [],
            'log' => $leads ? self::log($user) : [],
        ];
    }

    /** @return array<string, mixed> */
    private static function person(User $person, User $asks): array
    {
        return [
            'id' => $person->id,
            'name' => $person->name,
            'email' => $person->email,
            'role' => $person->role->value,
            'roleLabel' => Message::term($person->role),
            'self' => $person->id === $asks->id,
            'active' => $person->isActive(),
            'since' => $person->deactivated_at?->toIso8601String(),
            'secondFactor' => $person->hasSecondFactor(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function links(User $user): array
    {
        return array_map(
            static fn (DoorLink $l): array => [
                'id' => $l->id,
                'kind' => $l->kind->value,
                'email' => $l->email,
                'role' => Message::term($l->role),
                'endsAt' => $l->ends_at->toIso8601String(),
            ],
            array_values(DoorLink::query()->open()->where('crew_id', $user->crew_id)->orderBy('id')->get()->all()),
        );
    }

    /** @return list<array{kind: Message, who: string, what: string, at: string}> */
    private static function log(User $user): array
    {
        /** @var list<object{kind: string, what: string, at: string, name: ?string}> $lines */
        $lines = DB::table('security_events')
            ->leftJoin('users', 'users.id', 'security_events.user_id')
            ->where('security_events.crew_id', $user->crew_id)
            ->orderByDesc('security_events.id')
            ->limit(self::LOG)
            ->get(['security_events.kind', 'security_events.what', 'security_events.at', 'users.name'])
            ->all();

        return array_map(
            static fn (object $l): array => [
                'kind' => Message::of('crew.security', kind: $l->kind),
                'who' => (string) $l->name,
                'what' => $l->what,
                'at' => Carbon::parse($l->at)->toIso8601String(),
            ],
            $lines,
        );
    }
}
