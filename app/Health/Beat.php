<?php

declare(strict_types=1);

namespace App\Health;

/** Who works in the background says so now and then: the file of that name is touched. */
final class Beat
{
    public static function of(string $who): void
    {
        $file = self::file($who);
        if (! is_dir(dirname($file))) {
            @mkdir(dirname($file), 0700, true);
        }
        @touch($file);
    }

    /** @return ?int seconds since; null where it was never heard of */
    public static function age(string $who): ?int
    {
        clearstatcache(true, self::file($who));
        $at = @filemtime(self::file($who));

        // Of a moment that has not come: the clock was set back since.
        return $at === false ? null : abs(time() - $at);
    }

    private static function file(string $who): string
    {
        return storage_path("framework/beats/{$who}");
    }
}
