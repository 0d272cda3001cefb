<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Fault\FaultId;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Suspect\SuspectList;

/** Which faults of a house are over after an event: what a repair ends, and no other. */
final readonly class Endings
{
    /** Minutes after which every delay of a house has run out. */
    private const DELAYS = 5.0;

    public function __construct(private SuspectList $list)
    {
    }

    /** @return array<string, true> ids of faults, without severity, that an event ends */
    public function of(Event $event): array
    {
        $ids = match ($event->kind) {
            EventKind::Repaired => $this->repairedBy($event->what),
            EventKind::FuseReplaced => $this->repairedBy($this->list->fuseOf($event->of)),
            EventKind::Setting => $this->repairedBy($this->list->settingOf($event->key)),
            EventKind::Soaked => ($event->minutes ?? 0.0) < self::DELAYS ? [] : $this->waitedOut(),
            default => [],
        };

        return array_fill_keys($ids, true);
    }

    /** @return list<string> */
    private function repairedBy(string $what): array
    {
        $repair = $this->list->repairs[$what] ?? null;
        if ($repair !== null) {
            return $repair->faults();
        }

        return array_map(static fn (FaultId $id): string => $id->base(), FaultId::each($what));
    }

    /** @return list<string> */
    private function waitedOut(): array
    {
        $ids = [];
        foreach ($this->list->repairs as $repair) {
            if ($repair->isWait()) {
                array_push($ids, ...$repair->faults());
            }
        }

        return $ids;
    }
}
