<?php

declare(strict_types=1);

namespace App\Records\SetUp;

use App\House\House;
use App\Models\Job;
use App\Models\Record\TemporaryThing;
use Unionbit\Core\Asked\Offered;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Asked\Things;
use Unionbit\Core\Words\Message;

/** What stood on a job's house for a test, at any of its records: by what was put on and put back. */
final readonly class SetupStrip
{
    /** @param  list<TemporaryThing>  $rows  in their order */
    private function __construct(private array $rows)
    {
    }

    public static function read(Job $job): self
    {
        return new self(array_values($job->counting($job->temporaryThings())->get()->all()));
    }

    /** What stands now. */
    public static function of(Job $job): Things
    {
        return self::read($job)->before();
    }

    /** @param  ?int  $seq  record before which it is asked for; null for now */
    public function before(?int $seq = null): Things
    {
        $strip = Things::none();
        foreach ($this->rows as $row) {
            if ($seq === null || $row->seq < $seq) {
                $thing = array_filter([$row->thing()]);
                $strip = $row->stands ? $strip->with(...$thing) : $strip->without(...$thing);
            }
        }

        return $strip;
    }

    /** Whether anything stood between these records that makes the circuit another than the house's own. */
    public function altered(int $from, ?int $to): bool
    {
        return $this->before($from)->alters() ||
            array_any(
                $this->rows,
                static fn (TemporaryThing $r): bool => $r->seq > $from &&
                    ($to === null || $r->seq < $to) &&
                    $r->stands &&
                    $r->kind->alters(),
            );
    }

    /** @return array<string, mixed> as the strip shows it, with what else could be put on */
    public static function view(Job $job): array
    {
        $strip = self::of($job);
        $circuit = House::of($job)->circuit();
        $say = static fn (Thing $t): array => [
            'key' => $t->key(),
            'kind' => $t->kind()?->value,
            'a' => $t->names()[0] ?? '',
            'b' => $t->names()[1] ?? '',
            'label' => $t->label($circuit)->opening(),
            'isolated' => $t->kind()?->needsIsolated() ?? true,
            'ofTest' => $t->kind()?->isOfTest() ?? true,
        ];

        return [
            'standing' => array_values(array_map($say, $strip->all)),
            'others' => array_map(
                $say,
                array_values(array_filter(Offered::on($circuit), static fn (Thing $t): bool => ! $strip->has($t))),
            ),
        ];
    }

    /** @return list<Message> what has to be put back */
    public static function restore(Job $job): array
    {
        $strip = self::of($job);

        return $strip->all === [] ? [] : $strip->labels(House::of($job)->circuit());
    }
}
