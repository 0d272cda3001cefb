<?php

declare(strict_types=1);

namespace App\Health;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What the file cache kept and nobody asks for any more: the framework clears only what it is asked for. */
final class OldCache
{
    /** Figures at the head of each file: when it has had its time, as seconds since 1970. */
    private const FIGURES = 10;

    /** @return int files that went */
    public static function clear(string $folder, int $now): int
    {
        $gone = 0;
        $files = is_dir($folder)
            ? new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS))
            : [];
        foreach ($files as $file) {
            if (! ($file instanceof SplFileInfo) || ! $file->isFile()) {
                continue;
            }
            $until = @file_get_contents($file->getPathname(), length: self::FIGURES);
            $old = is_string($until) && preg_match('/^\d{10}$/', $until) === 1 && (int) $until < $now;
            $gone += $old && @unlink($file->getPathname()) ? 1 : 0;
        }

        return $gone;
    }
}
