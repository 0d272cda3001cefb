<?php

declare(strict_types=1);

namespace App\Crew\People;

use App\Crew\Devices;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\User;
use App\Models\Door\DoorLink;
use App\Models\Job;
use App\Models\Record\Signature;
use App\Words\Words;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/**
 * Takes a person out of what is kept. What they measured stays, by a name that says nothing: their row of the crew is
 * emptied, their signatures lose name and strokes, and where their name was written into a document or a plan for a
 * day it is written over. Backups made before still hold it, until they have outlived their rule.
 */
final class Forget
{
    public static function person(User $person, ?User $by): void
    {
        DB::transaction(static function () use ($person, $by): void {
            ChangePerson::refuseLastLead($person);
            // A name that they had earlier may still stand where it was written.
            $names = DB::table('security_events')
                ->where('user_id', $person->id)
                ->where('kind', SecurityKind::NameChanged->value)
                ->pluck('what')
                ->push($person->name)
                ->filter(static fn (mixed $name): bool => is_string($name) && $name !== '')
                ->unique();
            $nobody = Words::of('crew.people.nobody', number: (string) $person->id);
            Devices::endAll($person);
            DoorLink::query()->where('email', $person->email)->orWhere('user_id', $person->id)->delete();
            DB::table('security_events')
                ->where('user_id', $person->id)
                ->orWhereRaw("what like ? escape '!'", ['%'.self::literally($person->email).'%'])
                ->update(['address' => null, 'what' => '']);
            foreach ($names as $name) {
                self::signatures($person, $name, $nobody);
                self::documents($person, $name, $nobody);
            }
            $person
                ->forceFill([
                    'name' => $nobody,
                    'email' => "nobody-{$person->id}@nowhere.invalid",
                    'password' => Str::random(60),
                    'remember_token' => null,
                    'settings' => null,
                    'totp_secret' => null,
                    'totp_since' => null,
                    'recovery_codes' => null,
                    'deactivated_at' => $person->deactivated_at ?? now(),
                    'forgotten_at' => now(),
                ])
                ->save();
            SecurityLog::write(SecurityKind::Forgotten, "person {$person->id}", $by);
        });
    }

    /** What they signed as the installer, and what others had them sign by name. */
    private static function signatures(User $person, string $name, string $nobody): void
    {
        DB::table('signatures')
            ->whereIn('job_id', self::jobs($person))
            ->where('role', Signature::ROLES[0])
            ->where('name', $name)
            ->update(['name' => $nobody, 'strokes' => '[]']);
    }

    private static function documents(User $person, string $name, string $nobody): void
    {
        DB::table('jobs')
            ->where('crew_id', $person->crew_id)
            ->where('who', $name)
            ->update(['who' => $nobody]);
        foreach (self::tablesWith('from_file') as $table) {
            DB::table($table)
                ->whereIn('job_id', self::jobs($person))
                ->where('from_file', $name)
                ->update(['from_file' => $nobody]);
        }
        foreach (['jobs' => 'id', 'job_revisions' => 'job_id'] as $table => $column) {
            self::surveys($table, $column, $person, "({$name})", "({$nobody})");
        }
        // The screen of jobs says who goes where: worked out anew when it is next asked for.
        DB::table('job_summaries')
            ->whereIn('job_id', self::jobs($person))
            ->update(['mark' => '']);
    }

    /** Who went past a stop stands behind the reason, in brackets. */
    private static function surveys(string $table, string $column, User $person, string $old, string $new): void
    {
        foreach (array_unique([self::json($old, 0), self::json($old, JSON_UNESCAPED_UNICODE)]) as $written) {
            /** @var list<object{id: string, survey: string}> $rows */
            $rows = DB::table($table)
                ->whereIn($column, self::jobs($person))
                ->whereRaw("cast(survey as text) like ? escape '!'", ['%'.self::literally($written).'%'])
                ->get(['id', 'survey'])
                ->all();
            foreach ($rows as $row) {
                DB::table($table)
                    ->where('id', $row->id)
                    ->update(['survey' => str_replace($written, self::json($new, 0), $row->survey)]);
            }
        }
    }

    /** A text as it stands in JSON, without its quotes. */
    private static function json(string $text, int $flags): string
    {
        return substr((string) json_encode($text, $flags), 1, -1);
    }

    private static function literally(string $text): string
    {
        return str_replace(['!', '%', '_'], ['!!', '!%', '!_'], $text);
    }

    /** @return list<string> */
    private static function tablesWith(string $column): array
    {
        return array_values(
            array_filter(
                Schema::getTableListing(schemaQualified: false),
                static fn (string $table): bool => Schema::hasColumn($table, $column),
            ),
        );
    }

    /** @return Builder<Job> */
    private static function jobs(User $person): Builder
    {
        return Job::query()->withTrashed()->where('crew_id', $person->crew_id)->select('id');
    }
}
