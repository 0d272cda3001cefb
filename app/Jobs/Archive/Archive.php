<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use App\Jobs\File\AsWhat;
use App\Jobs\File\ImportJob;
use App\Jobs\File\ReadFiles;
use App\Jobs\File\WriteJob;
use App\Models\Job;
use App\Models\Photo;
use App\Models\PhotoMark;
use App\Models\User;
use App\Records\Append;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Throwable;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Data\Json;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use ZipArchive;

/**
 * A job's whole history as one ZIP file: `job.json` is its job file, `photographs.json` says of each photograph where
 * and when it was taken, by whom, and what is marked on it; the pictures stand in `photographs/`. In again it is
 * another job with the same records, each under the name that it had.
 */
final class Archive
{
    /** Bytes of one picture; of all that is in it, unpacked. */
    private const MOST_PICTURE = 12_000_000;

    private const MOST_ALTOGETHER = 400_000_000;

    private const MOST_PICTURES = 200;

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

    /** @throws InvalidData the whole archive or nothing of it */
    public static function read(string $file, User $user, string $id, ImportJob $import, AsWhat $as): Job
    {
        $zip = new ZipArchive();
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw InvalidData::unreadable('', Message::of('jobs.archive.damaged'));
        }
        $all = 0;
        for ($entry = 0; $entry < $zip->numFiles; $entry++) {
            $all += $zip->statIndex($entry)['size'] ?? 0;
        }
        if ($all > self::MOST_ALTOGETHER) {
            throw InvalidData::notAllowed(
                '',
                Quantity::number($all / 1_000_000, 0),
                Message::of('jobs.archive.altogether', most: intdiv(self::MOST_ALTOGETHER, 1_000_000)),
            );
        }
        $json = Json::decode(self::entry($zip, 'job.json', ReadFiles::MOST_BYTES));
        $rows = PhotoRow::read(
            Json::decode(self::entry($zip, 'photographs.json', ReadFiles::MOST_BYTES)),
            self::MOST_PICTURES,
        );
        if (Job::withTrashed()->whereKey($id)->exists()) {
            return $import($user, $id, $json, $as);
        }

        return DB::transaction(static function () use ($zip, $rows, $user, $id, $json, $import, $as): Job {
            $job = $import($user, $id, $json, $as);
            $here = array_flip(array_filter($job->photos()->pluck('id')->all(), is_string(...)));
            $written = [];
            try {
                foreach ($rows as $row) {
                    if (! isset($here[$row->id])) {
                        $written[] = self::photograph($zip, $row, $job, $user);
                    }
                }
            } catch (Throwable $problem) {
                $here === []
                    ? Storage::disk('local')->deleteDirectory("photos/{$job->id}")
                    : Storage::disk('local')->delete(array_filter($written));
                throw $problem;
            }

            return $job->refresh();
        });
    }

    /** @return ?string where its picture was put */
    private static function photograph(ZipArchive $zip, PhotoRow $row, Job $job, User $user): ?string
    {
        $free = Str::isUlid($row->id) && Photo::query()->whereKey($row->id)->doesntExist();
        $id = $free ? $row->id : (string) Str::ulid();
        $picture =
            $row->skipped === null ? self::entry($zip, "photographs/{$row->id}.jpg", self::MOST_PICTURE) : null;
        $size = $picture === null ? null : @getimagesizefromstring($picture);
        if ($size === false || ($size !== null && $size[2] !== IMAGETYPE_JPEG)) {
            throw InvalidData::unreadable("/photographs/{$row->id}", Message::of('jobs.archive.no-picture'));
        }
        $path = $picture === null ? null : "photos/{$job->id}/{$id}.jpg";
        if ($path !== null && ! Storage::disk('local')->put($path, (string) $picture)) {
            abort(503);
        }
        Append::write(Photo::class, $id, $job, $user, [
            'place' => $row->place,
            'path' => $path,
            'width' => $size[0] ?? null,
            'height' => $size[1] ?? null,
            'skipped' => $row->skipped,
            'at' => $row->at,
            'from_file' => $row->by,
        ]);
        $marks = [];
        foreach ($row->marks as $mark) {
            $marks[$mark['id']] = (string) Str::ulid();
            Append::write(PhotoMark::class, $marks[$mark['id']], $job, $user, [
                'photo_id' => $id,
                'x' => $mark['x'],
                'y' => $mark['y'],
                'end' => $mark['end'],
                'takes_back_id' => $mark['takesBack'] === null ? null : $marks[$mark['takesBack']] ?? null,
                'at' => $mark['at'],
                'from_file' => $mark['by'],
            ]);
        }

        return $path;
    }

    /** @throws InvalidData where it is missing, or larger than it may be */
    private static function entry(ZipArchive $zip, string $name, int $most): string
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
}
