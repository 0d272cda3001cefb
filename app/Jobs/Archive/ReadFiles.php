<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use App\Errand\Runs;
use App\House\JobFiles;
use App\House\Refused;
use App\Jobs\File\AsWhat;
use App\Jobs\File\HereAlready;
use App\Jobs\File\ImportJob;
use App\Jobs\File\ImportSum;
use App\Jobs\File\JobRecords;
use App\Models\Job;
use App\Models\Work\Errand;
use App\Words\Words;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Throwable;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Data\Json;

/** Job files and archives: each is read whole or not at all, and each is answered for itself. */
final readonly class ReadFiles implements Runs
{
    /** A job that was sent at the same moment took an id that was free: looked at again it is another. */
    private const TRIES = 2;

    public function __construct(private ImportJob $import, private ReadArchive $archive)
    {
    }

    public static function kind(): string
    {
        return 'import';
    }

    public function run(Errand $errand): array
    {
        $ids = array_values((array) ($errand->input['ids'] ?? []));
        $names = array_values((array) ($errand->input['names'] ?? []));
        $as = array_values((array) ($errand->input['as'] ?? []));
        $report = [];
        $sum = new ImportSum();
        foreach ($names as $index => $name) {
            $errand->tell($index, count($names));
            $file = Storage::disk('local')->path($errand->folder()."/in-{$index}");
            $id = $ids[$index] ?? null;
            if (is_string($id) && is_string($name)) {
                $how = AsWhat::tryFrom(is_string($as[$index] ?? null) ? $as[$index] : '') ?? AsWhat::Ask;
                $report[] = ['name' => $name, ...$this->one($errand, $id, $file, $how, $sum)];
            }
        }

        return ['files' => $report];
    }

    /**
     * @return array{job: ?array{id: string, site: string, url: string}, problem: ?array{pointer: string,
     *     message: string}, here?: array{id: string, site: string, url: string, new: int, open: bool}}
     */
    private function one(Errand $errand, string $id, string $file, AsWhat $as, ImportSum $sum): array
    {
        try {
            $job = retry(
                self::TRIES,
                fn (): Job => $this->job($errand, $id, $file, $as, $sum),
                when: static fn (Throwable $problem): bool => $problem instanceof UniqueConstraintViolationException,
            );

            return ['job' => self::shown($job), 'problem' => null];
        } catch (HereAlready $known) {
            return [
                'job' => null,
                'problem' => null,
                'here' => [
                    ...self::shown($known->job),
                    'new' => $known->new,
                    'open' => $known->job->handed_over_at === null,
                ],
            ];
        } catch (InvalidData $problem) {
            return self::problem($problem->pointer, Str::limit(Words::say($problem->problem), 600));
        } catch (Refused $problem) {
            return self::problem('', implode(' ', Words::each(array_merge(...array_values($problem->problems)))));
        }
    }

    /** @throws InvalidData */
    private function job(Errand $errand, string $id, string $file, AsWhat $as, ImportSum $sum): Job
    {
        if (Archive::is($file)) {
            return ($this->archive)($file, $errand->user, $id, $as, $sum, $errand->tell(...));
        }
        if (! is_file($file) || filesize($file) > JobFiles::MOST_BYTES) {
            throw InvalidData::unreadable('', JobFiles::tooLarge());
        }
        $json = Json::decode((string) file_get_contents($file));
        $sum->add(['bytes' => (int) filesize($file), 'records' => JobRecords::count($json)]);

        return ($this->import)($errand->user, $id, $json, $as);
    }

    /** @return array{id: string, site: string, url: string} */
    private static function shown(Job $job): array
    {
        return ['id' => $job->id, 'site' => $job->site, 'url' => "/jobs/{$job->id}/survey"];
    }

    /** @return array{job: null, problem: array{pointer: string, message: string}} */
    private static function problem(string $pointer, string $message): array
    {
        return ['job' => null, 'problem' => ['pointer' => $pointer, 'message' => $message]];
    }
}
