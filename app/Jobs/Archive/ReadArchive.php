<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use App\House\JobFiles;
use App\Jobs\File\AsWhat;
use App\Jobs\File\ImportJob;
use App\Jobs\File\ImportSum;
use App\Jobs\File\JobRecords;
use App\Models\Crew\User;
use App\Models\Job;
use Throwable;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Data\Json;
use Unionbit\Core\Words\Message;
use ZipArchive;

/**
 * An archive in again: all of it is counted and looked at, then its pictures are drawn anew onto the disk, then every
 * row is written in one short transaction. The whole archive or nothing of it.
 */
final readonly class ReadArchive
{
    public function __construct(private ImportJob $import)
    {
    }

    /**
     * @param  callable(int, int): void  $tell  how many pictures of how many are drawn
     *
     * @throws InvalidData
     */
    public function __invoke(string $file, User $user, string $id, AsWhat $as, ImportSum $sum, callable $tell): Job
    {
        $zip = new ZipArchive();
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw InvalidData::unreadable('', Message::of('jobs.archive.damaged'));
        }
        $json = Json::decode(Entry::text($zip, 'job.json', JobFiles::MOST_BYTES));
        $rows = PhotoRow::read(
            Json::decode(Entry::text($zip, 'photographs.json', JobFiles::MOST_BYTES)),
            ImportSum::MOST['pictures'],
        );
        $sum->add([
            'bytes' => Entry::unpacked($zip),
            'pictures' => count($rows),
            'marks' => array_sum(array_map(static fn (PhotoRow $r): int => count($r->marks), $rows)),
            'records' => JobRecords::count($json),
        ]);
        $read = $this->import->read($user, $id, $json, $as);
        if (Job::withTrashed()->whereKey($id)->exists()) {
            return $this->import->write($user, $id, $read);
        }
        $photos = new ArchivePhotos($zip, $read->here->id ?? $id, $user, $read->here);
        try {
            return $this->import->write($user, $id, $read, $photos->drawn($rows, $tell));
        } catch (Throwable $problem) {
            $photos->forget();
            throw $problem;
        }
    }
}
