<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Tracing\Record\EventKind;

/**
 * What was odd before the last repair: each is read again and struck off by hand, or it stays. The certain part first:
 * what vanishes with it was its consequence.
 */
final class OddRows
{
    /**
     * @return array<int, bool> whether it is struck off, by number of the row; none where nothing was repaired
     */
    public static function of(Belief $belief): array
    {
        $odd = $since = [];
        foreach ($belief->rows() as $index => $row) {
            $event = $row->withdrawn ? null : $row->event;
            if ($event?->kind === EventKind::Repaired) {
                $odd = $since;
            } elseif ($event?->kind === EventKind::Struck && isset($odd[$event->row])) {
                $odd[$event->row] = true;
            } elseif (
                ! $row->withdrawn &&
                $row->number > 0 &&
                $row->kind->isEvidence() &&
                ($row->probe->inspect ?? '') === '' &&
                $belief->sound($index) < Pairs::EXPLAINED
            ) {
                $since[$row->number] = false;
            }
        }

        return $odd;
    }
}
