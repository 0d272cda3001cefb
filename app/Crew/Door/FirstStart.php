<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use Illuminate\Support\Facades\DB;

/**
 * The first crew of a server, and who leads it. Whoever comes first to a server that has nobody yet could take it: the
 * page asks for a code that stands in a file on the server, which only those who run it can read.
 */
final class FirstStart
{
    public static function isOpen(): bool
    {
        return ! User::query()->exists();
    }

    /** The code, written when it is first asked for. */
    public static function code(): string
    {
        $file = self::file();
        if (! is_file($file)) {
            file_put_contents($file, bin2hex(random_bytes(6))."\n", LOCK_EX);
            chmod($file, 0600);
        }

        return trim((string) file_get_contents($file));
    }

    public static function file(): string
    {
        return storage_path('app/first-start.txt');
    }

    /** @return ?User the lead; null where somebody was first */
    public static function make(
        string $crew,
        string $name,
        string $email,
        #[\SensitiveParameter] string $password,
    ): ?User {
        $lead = DB::transaction(static function () use ($crew, $name, $email, $password): ?User {
            if (! self::isOpen()) {
                return null;
            }
            $lead = User::query()->create([
                'crew_id' => Crew::query()->create(['name' => $crew])->id,
                'name' => $name,
                'email' => mb_strtolower($email),
                'password' => $password,
                'role' => Role::Lead,
            ]);
            SecurityLog::write(SecurityKind::CrewMade, $crew, $lead);

            return $lead;
        });
        if ($lead !== null && is_file(self::file())) {
            unlink(self::file());
        }

        return $lead;
    }
}
