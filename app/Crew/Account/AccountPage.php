<?php

declare(strict_types=1);

namespace App\Crew\Account;

use App\Crew\Devices;
use App\Crew\Door\Password;
use App\Crew\Factor\Totp;
use App\Models\Crew\Preferences;
use App\Models\Crew\User;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Words\Message;

/** A person's own page. */
final class AccountPage
{
    /** @return array<string, mixed> */
    public static function props(User $user, string $session): array
    {
        return [
            'me' => [
                'name' => $user->name,
                'email' => $user->email,
                'crew' => $user->crew->name,
                'role' => Message::term($user->role),
                'may' => Message::of('crew.role.may', role: $user->role->value),
            ],
            'least' => Password::SHORTEST,
            'schools' => array_map(
                static fn (School $s): array => ['value' => $s->value, 'label' => $s->label()],
                School::cases(),
            ),
            'languages' => Preferences::languages(),
            'crewUnits' => $user->crew->units->value,
            'factor' => [
                'since' => $user->totp_since?->toIso8601String(),
                'codesLeft' => count($user->recovery_codes ?? []),
                'isHere' => Totp::isHere(),
            ],
            'devices' => Devices::of($user, $session),
        ];
    }
}
