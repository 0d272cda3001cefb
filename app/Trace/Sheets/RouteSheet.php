<?php

declare(strict_types=1);

namespace App\Trace\Sheets;

use App\Trace\Book\TraceBook;
use Unionbit\Core\Tracing\Answer;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Spot;
use Unionbit\Core\Words\Message;

/** The run of each cable that is suspected, spot by spot, with what was looked at. */
final class RouteSheet
{
    /** Share of a cable from which on its run is listed. */
    private const LISTED = 0.1;

    /** @return list<array{cable: string, label: Message, spots: list<array<string, mixed>>}> */
    public static function of(TraceBook $book, Answer $answer): array
    {
        $shares = [];
        foreach ($answer->suspects as $line) {
            foreach (array_unique($line->standing->suspect->conductors) as $cable) {
                $shares[$cable] = ($shares[$cable] ?? 0.0) + $line->share;
            }
        }
        arsort($shares);
        $looked = self::looked($book);
        $routes = [];
        foreach ($shares as $id => $share) {
            $cable = $book->trace->circuit->installation->cable((string) $id);
            if ($cable === null || ($share < self::LISTED && ! isset($looked[$id]))) {
                continue;
            }
            $routes[] = [
                'cable' => (string) $id,
                'label' => Message::of('trace.page.cable', cable: (string) $id, size: $cable->label()),
                'spots' => array_map(
                    static fn (Spot $spot): array => [
                        'value' => $spot->value,
                        'label' => $spot->label(),
                        'found' => $looked[$id][$spot->value] ?? null,
                    ],
                    Spot::along($cable),
                ),
            ];
        }

        return $routes;
    }

    /** @return array<string, array<string, string>> what was found, by cable and spot: hurt, sound, no_access */
    private static function looked(TraceBook $book): array
    {
        $looked = [];
        foreach ($book->trace->rows() as $row) {
            $event = $row->withdrawn ? null : $row->event;
            if ($event?->kind === EventKind::Walked) {
                $looked[$event->of][$event->key] = $event->found();
            }
        }

        return $looked;
    }
}
