<?php

declare(strict_types=1);

namespace App\Web\Limit;

use Illuminate\Cache\ArrayStore;
use Illuminate\Cache\DatabaseStore;
use Illuminate\Cache\RateLimiter;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Cache\Store;
use Illuminate\Database\Connection;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * How often a door may be tried: each kind of door counts for itself, and all processes count together. The counts
 * stand in a file of SQLite of their own, which no long write holds; with PostgreSQL in a table of it, so that several
 * machines count together too.
 */
final class Limits
{
    private const TABLE = 'limits';

    /** Tries a minute of each kind of door, from one address. */
    private const DOORS = [
        'first-start' => 10,
        'forgot' => 5,
        'door' => 60,
        'door-use' => 20,
        'shared' => 60,
        'shared-photo' => 240,
        'health' => 60,
        'metrics' => 60,
    ];

    public static function name(RateLimiter $limiter): void
    {
        foreach (self::DOORS as $door => $tries) {
            $limiter->for(
                $door,
                static fn (Request $request): Limit => Limit::perMinute($tries)->by("{$door}|{$request->ip()}"),
            );
        }
    }

    /** Where they are counted; where nothing can be written, as on a full disk, nowhere. */
    public static function store(): Store
    {
        try {
            return self::kept();
        } catch (Throwable) {
            return new ArrayStore();
        }
    }

    private static function kept(): DatabaseStore
    {
        $connection = DB::connection();
        if ($connection->getDriverName() === 'sqlite') {
            $file = config()->string('unionbit.limits');
            if (! is_file($file)) {
                touch($file);
            }
            config([
                'database.connections.limits' => [
                    ...config()->array('database.connections.sqlite'),
                    'database' => $file,
                    'busy_timeout' => 1000,
                    // Of what is counted nothing has to last.
                    'synchronous' => 'OFF',
                ],
            ]);
            $connection = DB::connection('limits');
        }
        self::make($connection);

        return new DatabaseStore($connection, self::TABLE);
    }

    private static function make(Connection $connection): void
    {
        $connection->statement(
            'create table if not exists '.
                self::TABLE.
                ' (key varchar(255) primary key, value text not null, expiration integer not null)',
        );
    }
}
