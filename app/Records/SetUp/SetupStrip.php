<?php

declare(strict_types=1);

namespace App\Records\SetUp;

use App\House\House;
use App\Models\Job;
use App\Models\Record\TemporaryThing;
use Unionbit\Core\Circuit\Standing\LineSwitch;
use Unionbit\Core\Circuit\Standing\Strip;
use Unionbit\Core\Circuit\Standing\Thing;
use Unionbit\Core\Circuit\Standing\ThingKind;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Wiring\Cable;
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
    public static function of(Job $job): Strip
    {
        return self::read($job)->before();
    }

    /** @param  ?int  $seq  record before which it is asked for; null for now */
    public function before(?int $seq = null): Strip
    {
        $strip = Strip::empty();
        foreach ($this->rows as $row) {
            if ($seq === null || $row->seq < $seq) {
                $strip = $row->stands ? $strip->with($row->thing()) : $strip->without($row->thing());
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
        $house = House::of($job);
        $circuit = $house->circuit();
        $archetype = $house->installation->archetype;
        $others = [
            new Thing(ThingKind::FaceOff),
            new Thing(ThingKind::Link),
            new Thing(ThingKind::Door),
            ...array_map(
                static fn (LineSwitch $s): Thing => new Thing(ThingKind::Switch, $s->value),
                LineSwitch::cases(),
            ),
            ...array_map(
                static fn (Transformer $t): Thing => new Thing(ThingKind::Breaker, $t->id),
                array_values(
                    array_filter(
                        $house->installation->transformers(),
                        static fn (Transformer $t): bool => $t->fuseAmps !== null,
                    ),
                ),
            ),
            ...array_merge(
                [],
                ...array_map(
                    static fn (Cable $c): array => [
                        new Thing(ThingKind::Plug, "{$c->id}.near"),
                        new Thing(ThingKind::Plug, "{$c->id}.far"),
                    ],
                    $house->installation->cables,
                ),
            ),
            ...array_map(
                static fn (Load $l): Thing => new Thing(ThingKind::Coil, $l->id),
                array_values(array_filter($archetype->loads, static fn (Load $l): bool => $l->kind->hasState())),
            ),
        ];
        $say = static fn (Thing $t): array => [
            'key' => $t->key(),
            'kind' => $t->kind->value,
            'a' => $t->a,
            'b' => $t->b,
            'label' => $t->label($circuit)->opening(),
            'isolated' => $t->kind->needsIsolated(),
            'ofTest' => $t->kind->isOfTest(),
        ];

        return [
            'standing' => array_values(array_map($say, $strip->things)),
            'others' => array_values(
                array_map(
                    $say,
                    array_filter($others, static fn (Thing $t): bool => $t->isOf($circuit) && ! $strip->has($t)),
                ),
            ),
        ];
    }

    /** @return list<Message> what has to be put back */
    public static function restore(Job $job): array
    {
        $strip = self::of($job);

        return $strip->things === [] ? [] : $strip->labels(House::of($job)->circuit());
    }
}
