<?php

declare(strict_types=1);

namespace App\Crew\People;

use App\Crew\Devices;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Words\Words;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** What a lead changes of the people of the crew. A crew always keeps somebody who leads it. */
final class ChangePerson
{
    public static function role(User $person, Role $role, User $by): void
    {
        self::change($person, $by, static function (User $held) use ($role, $by): void {
            if ($role !== Role::Lead) {
                self::refuseLastLead($held);
            }
            $was = $held->role->value;
            $held->forceFill(['role' => $role])->save();
            SecurityLog::write(SecurityKind::RoleChanged, "{$held->email}: {$was} to {$role->value}", $by);
        });
    }

    /** Out at once on every device; the records keep the name. */
    public static function deactivate(User $person, User $by): void
    {
        self::change($person, $by, static function (User $held) use ($by): void {
            self::refuseLastLead($held);
            $held->forceFill(['deactivated_at' => now()])->save();
            Devices::endAll($held);
            SecurityLog::write(SecurityKind::Deactivated, $held->email, $by);
        });
    }

    public static function reactivate(User $person, User $by): void
    {
        self::change($person, $by, static function (User $held) use ($by): void {
            if ($held->forgotten_at !== null) {
                throw ValidationException::withMessages(['person' => Words::of('crew.people.forgotten')]);
            }
            $held->forceFill(['deactivated_at' => null])->save();
            SecurityLog::write(SecurityKind::Reactivated, $held->email, $by);
        });
    }

    /**
     * Their own name. Visits that are planned go along: the day says who drives where by name. What was written with
     * the old one stays; the log keeps it, so that it can be taken out with the person.
     */
    public static function rename(User $person, string $name): void
    {
        DB::transaction(static function () use ($person, $name): void {
            $planned = DB::table('jobs')
                ->where('crew_id', $person->crew_id)
                ->where('who', $person->name)
                ->whereNull('handed_over_at');
            DB::table('job_summaries')
                ->whereIn('job_id', (clone $planned)->select('id'))
                ->update(['mark' => '']);
            $planned->update(['who' => $name]);
            SecurityLog::write(SecurityKind::NameChanged, $person->name, $person);
            $person->name = $name;
            $person->save();
        });
    }

    /** @throws ValidationException where nobody else leads the crew */
    public static function refuseLastLead(User $person): void
    {
        $others = User::query()
            ->where('crew_id', $person->crew_id)
            ->where('role', Role::Lead)
            ->whereNull('deactivated_at')
            ->whereKeyNot($person->id)
            ->exists();
        if ($person->role === Role::Lead && $person->isActive() && ! $others) {
            throw ValidationException::withMessages(['person' => Words::of('crew.people.last-lead')]);
        }
    }

    /** @param  callable(User): void  $change */
    private static function change(User $person, User $by, callable $change): void
    {
        // One writer at a time: two leads who put each other out at once do not leave the crew without one.
        DB::transaction(static function () use ($person, $by, $change): void {
            $leads = User::query()->lockForUpdate()->findOrFail($by->id);
            abort_unless($leads->isActive() && $leads->role->leads(), 403);
            $change(User::query()->lockForUpdate()->findOrFail($person->id));
        });
        $person->refresh();
    }
}
