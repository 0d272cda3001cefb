<?php

declare(strict_types=1);

namespace App\Jobs\File;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Words\Message;

/**
 * How much one import brings altogether, however many files it comes in. Each file is counted before anything of it is
 * written; the one that would be too much is refused whole.
 */
final class ImportSum
{
    public const MOST = [
        'bytes' => 400_000_000,
        'pictures' => 200,
        'marks' => 2_000,
        'records' => 10_000,
    ];

    /** @var array<string, int> */
    private array $sum = ['bytes' => 0, 'pictures' => 0, 'marks' => 0, 'records' => 0];

    /**
     * @param  array{bytes?: int, pictures?: int, marks?: int, records?: int}  $more  of one file
     *
     * @throws InvalidData where they are too many; then none of them counts
     */
    public function add(array $more): void
    {
        foreach ($more as $what => $count) {
            if (self::MOST[$what] < $this->sum[$what] + $count) {
                // Bytes are said as megabytes.
                $unit = $what === 'bytes' ? 1_000_000 : 1;
                throw InvalidData::unreadable(
                    '',
                    Message::of(
                        'jobs.import.too-much',
                        what: $what,
                        count: intdiv($count, $unit),
                        before: intdiv($this->sum[$what], $unit),
                        most: intdiv(self::MOST[$what], $unit),
                    ),
                );
            }
        }
        foreach ($more as $what => $count) {
            $this->sum[$what] += $count;
        }
    }
}
