<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Words\Message;
use ZipArchive;

/** What stands in an archive under a name. What its list says of a size is believed as a bound only. */
final class Entry
{
    /** @throws InvalidData where it is missing, or larger than it may be */
    public static function text(ZipArchive $zip, string $name, int $most): string
    {
        $about = $zip->statName($name);
        if ($about === false || $about['size'] > $most) {
            throw InvalidData::missing(
                "/{$name}",
                Message::of('jobs.archive.entry', most: intdiv($most, 1_000_000)),
            );
        }
        $content = $zip->getFromName($name, $most);

        return $content === false
            ? throw InvalidData::unreadable("/{$name}", Message::of('jobs.archive.damaged'))
            : $content;
    }

    /** Bytes of all of them, unpacked. */
    public static function unpacked(ZipArchive $zip): int
    {
        $all = 0;
        for ($entry = 0; $entry < $zip->numFiles; $entry++) {
            $all += $zip->statIndex($entry)['size'] ?? 0;
        }

        return $all;
    }
}
