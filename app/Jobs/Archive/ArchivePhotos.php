<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Photo;
use App\Models\PhotoMark;
use App\Records\AppendMany;
use App\Records\Photo\Picture;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\Uid\Ulid;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Words\Message;
use ZipArchive;

/** Photographs of an archive, drawn anew where those of a job stand, and their rows. */
final class ArchivePhotos
{
    /** Bytes of one picture. */
    private const MOST_PICTURE = 12_000_000;

    /** @var list<string> paths of the pictures that were written */
    private array $written = [];

    /** @param  ?Job  $here  where the archive is the difference to a job that is here */
    public function __construct(
        private readonly ZipArchive $zip,
        private readonly string $jobId,
        private readonly User $user,
        private readonly ?Job $here,
    ) {
    }

    /**
     * @param  list<PhotoRow>  $rows
     * @param  callable(int, int): void  $tell
     * @return AppendMany rows to be written with the job
     *
     * @throws InvalidData where one is no picture: {@see forget} takes the others off the disk again
     */
    public function drawn(array $rows, callable $tell): AppendMany
    {
        $known = $this->here === null ? [] : $this->here->photos()->pluck('id')->all();
        $new = array_values(array_filter($rows, static fn (PhotoRow $r): bool => ! in_array($r->id, $known, true)));
        $many = new AppendMany($this->jobId, $this->user);
        foreach ($new as $number => $row) {
            $this->add($many, $row);
            $tell($number + 1, count($new));
        }

        return $many;
    }

    /** What was drawn is of no job: nothing of it stays. */
    public function forget(): void
    {
        foreach ($this->written as $path) {
            if (Photo::query()->where('path', $path)->doesntExist()) {
                Storage::disk('local')->delete($path);
            }
        }
    }

    private function add(AppendMany $many, PhotoRow $row): void
    {
        $free = Str::isUlid($row->id) && Photo::query()->whereKey($row->id)->doesntExist();
        $id = $free ? $row->id : $this->other($row->id);
        $picture = $row->skipped === null ? $this->picture($row->id) : null;
        $path = $picture === null ? null : "photos/{$this->jobId}/{$id}.jpg";
        if ($path !== null) {
            $this->written[] = $path;
            $picture->write($path);
        }
        $many->add(Photo::class, $id, [
            'place' => $row->place,
            'path' => $path,
            'width' => $picture?->width,
            'height' => $picture?->height,
            'skipped' => $row->skipped,
            'at' => $row->at,
            'from_file' => $row->by,
        ]);
        $marks = [];
        foreach ($row->marks as $mark) {
            $marks[$mark['id']] = (string) Str::ulid();
            $many->add(PhotoMark::class, $marks[$mark['id']], [
                'photo_id' => $id,
                'x' => $mark['x'],
                'y' => $mark['y'],
                'end' => $mark['end'],
                'takes_back_id' => $mark['takesBack'] === null ? null : $marks[$mark['takesBack']] ?? null,
                'at' => $mark['at'],
                'from_file' => $mark['by'],
            ]);
        }
    }

    /** Another id for one that is taken, the same whenever this is done again: a picture is written over itself. */
    private function other(string $id): string
    {
        return (string) Ulid::fromBinary(substr(hash('sha256', "{$this->jobId}/{$id}", true), 0, 16));
    }

    /** @throws InvalidData */
    private function picture(string $id): Picture
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'archive');
        try {
            file_put_contents($file, Entry::text($this->zip, "photographs/{$id}.jpg", self::MOST_PICTURE));

            return (Picture::problem($file) === null ? Picture::drawn($file) : null) ??
                throw InvalidData::unreadable("/photographs/{$id}", Message::of('jobs.archive.no-picture'));
        } finally {
            unlink($file);
        }
    }
}
