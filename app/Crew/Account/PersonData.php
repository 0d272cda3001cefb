<?php

declare(strict_types=1);

namespace App\Crew\Account;

use App\Crew\Devices;
use App\Models\Crew\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** All that is kept of one person: who they are, how they like it, when they came in, every row that they wrote. */
final class PersonData
{
    /** Never taken out: who holds it could come in. */
    private const SECRET = ['password', 'remember_token', 'totp_secret', 'recovery_codes', 'payload', 'token'];

    /** @return array<string, mixed> tables by name, each its rows, beside the person */
    public static function of(User $user): array
    {
        $tables = [];
        foreach (Schema::getTableListing(schemaQualified: false) as $table) {
            if (! Schema::hasColumn($table, 'user_id')) {
                continue;
            }
            $rows = DB::table($table)->where('user_id', $user->id)->get();
            $plain = $rows->map(static fn (object $row): array => self::plain((array) $row));
            $tables[$table] = $table === 'sessions' ? $plain->map(self::session(...))->all() : $plain->all();
        }

        return [
            'format' => 'unionbit-person',
            'version' => 1,
            'at' => now()->toIso8601String(),
            'person' => [
                'name' => $user->name,
                'email' => $user->email,
                'crew' => $user->crew->name,
                'role' => $user->role->value,
                'preferences' => $user->preferences()->toArray(),
                'secondFactorSince' => $user->totp_since?->toIso8601String(),
            ],
            'rows' => array_filter($tables),
        ];
    }

    /**
     * By the name that the list of devices has for it.
     *
     * @param  array<mixed>  $row
     * @return array<mixed>
     */
    private static function session(array $row): array
    {
        return [...$row, 'id' => Devices::name(is_string($row['id'] ?? null) ? $row['id'] : '')];
    }

    /**
     * @param  array<mixed>  $row
     * @return array<mixed>
     */
    private static function plain(array $row): array
    {
        $row = array_diff_key($row, array_flip(self::SECRET));
        foreach ($row as $column => $value) {
            if (is_string($value) && preg_match('/^[\[{]/', $value) === 1) {
                $row[$column] = json_decode($value, true) ?? $value;
            }
        }

        return $row;
    }
}
