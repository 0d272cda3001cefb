<?php

declare(strict_types=1);

use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use Symfony\Component\Process\Process;

const GOOD_PASSWORD = 'ropewalk and three herons';

/** Somebody of a crew, signed in. */
function person(Role $role, ?Crew $crew = null): User
{
    $user = User::factory()->create(['role' => $role, ...$crew === null ? [] : ['crew_id' => $crew->id]]);
    test()->actingAs($user);

    return $user;
}

/** The code that a device with this secret shows at a moment. */
function shown(string $secret, int $at): string
{
    $device = new Process(['oathtool', '--totp', '--base32', "--now=@{$at}", '-'], input: "{$secret}\n");

    return trim($device->mustRun()->getOutput());
}
