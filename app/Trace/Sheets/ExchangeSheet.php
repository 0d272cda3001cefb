<?php

declare(strict_types=1);

namespace App\Trace\Sheets;

use App\Trace\Book\TraceBook;
use Unionbit\Core\Point\OnScrew;
use Unionbit\Core\Tracing\Done;
use Unionbit\Core\Tracing\Protocol\ProposalWords;
use Unionbit\Core\Words\Message;

/** A part exchanged wire by wire: the list to be made before the first screw, then what is off and what is on again. */
final class ExchangeSheet
{
    /** @return ?array<string, mixed> null where what was found exchanges nothing */
    public static function of(TraceBook $book, ?Done $done): ?array
    {
        $words = new ProposalWords($book->trace);
        $under = $book->trace->exchange();
        if ($under === null) {
            $wires = $done?->repair === null ? [] : $book->trace->wiresOf($done->group);

            return $done === null || $wires === []
                ? null
                : ['what' => $done->group, 'count' => count($wires), 'wires' => null];
        }
        $title = static fn (string $name): Message => $words->point($name);

        return [
            'what' => $under->repair,
            'count' => count($under->wires),
            'wires' => array_map(
                static fn (OnScrew $w): array => [
                    'end' => $w->end,
                    'label' => $title($w->end),
                    'screw' => $title($w->screw),
                    'off' => in_array($w->end, $under->off, true),
                    'on' => in_array($w->end, $under->on, true),
                ],
                $under->wires,
            ),
        ];
    }
}
