<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use App\Jobs\File\WriteJob;
use App\Models\Job;
use Illuminate\Support\Facades\Storage;
use ZipArchive;

/**
 * A job's whole history as one ZIP file: `job.json` is its job file, `photographs.json` says of each photograph where
 * and when it was taken, by whom, and what is marked on it; the pictures stand in `photographs/`. In again it is
 * another job with the same records, each under the name that it had.
 */
final class Archive
{
    public static function is(string $file): bool
    {
        return is_file($file) && file_get_contents($file, length: 4) === "PK\x03\x04";
    }

    /** @param  callable(int, int): void  $tell */
    public static function write(Job $job, string $to, callable $tell): void
    {
        $zip = new ZipArchive();
        if ($zip->open($to, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            abort(503);
        }
        $zip->addFromString('job.json', WriteJob::json($job));
        $photos = $job
            ->photos()
            ->with(['user', 'marks.user'])
            ->get();
        $rows = [];
        foreach ($photos as $number => $photo) {
            $rows[] = PhotoRow::write($photo);
            if ($photo->path !== null && Storage::disk('local')->exists($photo->path)) {
                $zip->addFile(Storage::disk('local')->path($photo->path), "photographs/{$photo->id}.jpg");
                // A JPEG does not get smaller.
                $zip->setCompressionName("photographs/{$photo->id}.jpg", ZipArchive::CM_STORE);
            }
            $tell($number + 1, count($photos));
        }
        $zip->addFromString(
            'photographs.json',
            json_encode($rows, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n",
        );
        if (! $zip->close()) {
            abort(503);
        }
    }
}
