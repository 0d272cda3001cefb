<?php

declare(strict_types=1);

namespace App\Backup;

use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Filesystem\Filesystem;

/** Which backups are kept: the newest of each of the last days, weeks and months, and the newest of all. */
final readonly class Keeping
{
    public function __construct(private int $days = 7, private int $weeks = 5, private int $months = 12)
    {
    }

    /** @return list<string> names of those that have outlived the rule and are gone */
    public static function tidy(string $root): array
    {
        $outlived = (new self())->outlived(Backup::all($root));
        foreach ($outlived as $name) {
            (new Filesystem())->deleteDirectory("{$root}/{$name}");
        }

        return $outlived;
    }

    /**
     * @param  list<string>  $names  as a backup is named by its moment
     * @return list<string> those that may go
     */
    public function outlived(array $names): array
    {
        rsort($names);
        $kept = array_fill_keys(array_slice($names, 0, 1), true);
        foreach (['Y-m-d' => $this->days, 'o-W' => $this->weeks, 'Y-m' => $this->months] as $by => $most) {
            $periods = [];
            foreach ($names as $name) {
                $period = self::moment($name)->format($by);
                if (! isset($periods[$period]) && count($periods) < $most) {
                    $periods[$period] = true;
                    $kept[$name] = true;
                }
            }
        }

        return array_values(array_filter($names, static fn (string $n): bool => ! isset($kept[$n])));
    }

    private static function moment(string $name): DateTimeImmutable
    {
        $read = DateTimeImmutable::createFromFormat('Y-m-d\THis\Z', $name, new DateTimeZone('UTC'));

        return $read === false ? throw new Broken("{$name} is no backup.") : $read;
    }
}
