<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\Contacts;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Fault\Wires;
use Unionbit\Core\Point\OnScrew;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Row;

/** A part exchanged wire by wire, from a list that was made before the first screw: what is off, what is on again. */
final readonly class Exchange
{
    /**
     * @param  list<OnScrew>  $wires
     * @param  list<string>  $off  ends that are off the old part
     * @param  list<string>  $on  ends that are on the new one
     */
    private function __construct(public string $repair, public array $wires, public array $off, public array $on)
    {
    }

    /**
     * The wires of what a repair exchanges: every landed end at its place, or the leads of the part itself.
     *
     * @return list<string> each as end and screw; none where nothing is exchanged
     */
    public static function listOf(Repair $repair, Place $at, Contacts $points): array
    {
        $of = match ($repair->wires) {
            Wires::OfPlace => $points->landedAt($at),
            Wires::OfPart => $points->leadsOf($repair->of[0] ?? ''),
            null => [],
        };

        return array_map(
            static fn (string $end, string $screw): string => (new OnScrew($end, $screw))->text(),
            array_map(strval(...), array_keys($of)),
            $of,
        );
    }

    /**
     * The exchange that is under way; null where no list was made since the last repair.
     *
     * @param  list<Row>  $rows
     */
    public static function of(array $rows): ?self
    {
        $under = null;
        foreach ($rows as $row) {
            $event = $row->withdrawn ? null : $row->event;
            $under = match ($event?->kind) {
                EventKind::Listed => self::begun($event->what, $event->list),
                EventKind::Repaired => null,
                EventKind::WireOff => $under?->with($event->of, false),
                EventKind::WireOn => $under?->with($event->of, true),
                default => $under,
            };
        }

        return $under;
    }

    /** @param  list<string>  $list */
    private static function begun(string $repair, array $list): self
    {
        return new self($repair, array_map(OnScrew::read(...), $list), [], []);
    }

    private function with(string $end, bool $on): self
    {
        return $on
            ? new self($this->repair, $this->wires, $this->off, array_values(array_unique([...$this->on, $end])))
            : new self($this->repair, $this->wires, array_values(array_unique([...$this->off, $end])), $this->on);
    }

    /** @return list<string> ends that are not yet on the new part */
    public function left(): array
    {
        return array_values(array_diff(array_column($this->wires, 'end'), $this->on));
    }
}
