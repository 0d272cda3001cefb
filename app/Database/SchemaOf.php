<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use Illuminate\Database\Migrations\Migrator;

/** The schema of a database by the names of its migrations, and the same schema made in another. */
final class SchemaOf
{
    /** @return list<string> */
    public static function names(Connection $connection): array
    {
        return array_values(
            array_filter(
                $connection->table('migrations')->orderBy('id')->pluck('migration')->all(),
                is_string(...),
            ),
        );
    }

    /** @return array<string, string> file of every migration that this program has, by its name */
    public static function known(): array
    {
        $migrator = self::migrator();
        $files = [];
        foreach (
            $migrator->getMigrationFiles([...$migrator->paths(), database_path('migrations')]) as $name => $file
        ) {
            $files[(string) $name] = $file;
        }

        return $files;
    }

    /** @param  list<string>  $names  of migrations that this program has, into a database that has no table */
    public static function make(Connection $connection, array $names): void
    {
        $migrator = self::migrator();
        $files = array_intersect_key(self::known(), array_flip($names));
        $migrator->usingConnection((string) $connection->getName(), static function () use (
            $migrator,
            $files,
        ): void {
            $migrator->getRepository()->createRepository();
            $migrator->run(array_values($files));
        });
    }

    private static function migrator(): Migrator
    {
        return app('migrator');
    }
}
