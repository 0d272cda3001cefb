<?php

declare(strict_types=1);

namespace App\Trace\Sheets;

use App\Trace\Book\TraceBook;
use App\Trace\Book\TraceLine;
use App\Trace\View\RowView;
use Unionbit\Core\Tracing\Answer;

/** What was odd before the repair: each is read again, and struck off by hand. */
final class OddSheet
{
    /** @return list<array<string, mixed>> */
    public static function of(TraceBook $book, Answer $answer, RowView $rows): array
    {
        $odd = [];
        foreach ($answer->odd as $number => $struck) {
            $line = array_find($book->lines, static fn (TraceLine $l): bool => $l->number === $number);
            if ($line?->row !== null) {
                $view = $rows->of($line, []);
                $odd[] = [
                    'number' => $number,
                    'id' => $line->id,
                    'test' => $view['test'],
                    'setup' => $view['setup'],
                    'result' => $view['result'],
                    'again' => $view['again'],
                    'struck' => $struck,
                ];
            }
        }

        return $odd;
    }
}
