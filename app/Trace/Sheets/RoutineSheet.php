<?php

declare(strict_types=1);

namespace App\Trace\Sheets;

use App\Trace\Book\TraceBook;
use App\Trace\View\ProposalView;
use Unionbit\Core\Tracing\Record\Routine;
use Unionbit\Core\Words\Message;

/** The guided routines, the most telling first, each with the step with which it would begin or go on. */
final class RoutineSheet
{
    /** @return array{now: ?string, all: list<array{value: string, label: Message, step: Message}>} */
    public static function of(TraceBook $book, ProposalView $proposals): array
    {
        $all = [];
        foreach ($book->trace->routines() as [$routine, $next]) {
            $all[] = [
                'value' => $routine->value,
                'label' => $routine->label(),
                'step' => $proposals->words($next),
            ];
        }
        $now = $book->trace->state()->routine;
        if ($now !== null && ! in_array($now->value, array_column($all, 'value'), true)) {
            // Nothing of it tells anything more: it stays named until it is left.
            array_unshift($all, self::ended($now));
        }

        return ['now' => $now?->value, 'all' => $all];
    }

    /** @return array{value: string, label: Message, step: Message} */
    private static function ended(Routine $routine): array
    {
        return [
            'value' => $routine->value,
            'label' => $routine->label(),
            'step' => Message::of('trace.page.routine-ended'),
        ];
    }
}
