<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/**
 * The adapter of a thermostat's kit at the board (WO04): one conductor on K carries compressor and fan. The thermostat
 * puts the whole 24 V on K for both, and half of it, through a resistance of its own, for the fan alone; the adapter
 * lives on R and C, listens on K and switches R to Y and G over short leads. The figures are those of our generic kit:
 * the sheet of a real one rules.
 */
final class SharedKit
{
    /** What the adapter's screw for the shared conductor prints. */
    public const SCREW = 'K';

    /** In series with K in the thermostat for the fan alone: as much as the adapter's two inputs together. */
    public const FAN_OHMS = 2200.0;

    /** @return list<Load> the adapter's two inputs with their contacts, and its own electronics; none where the board has no screws for it */
    public static function loads(Archetype $archetype): array
    {
        $screw = static fn (TerminalName $name): ?string => $archetype->terminalNamed(Place::Indoor, $name)?->point();
        [$r, $c, $y, $g] = array_map($screw, [TerminalName::R, TerminalName::C, TerminalName::Y1, TerminalName::G]);
        if ($r === null || $c === null || $y === null || $g === null || count($archetype->transformers) > 1) {
            return [];
        }
        $k = 'indoor.'.self::SCREW;
        $contact = static fn (string $id, string $letter, string $to): DrivenContact => new DrivenContact($id, "kit's contact in {$letter}", $r, $to, false, 0.0, true);

        return [
            new Load('kit-cooling', LoadKind::SharedCompressor, 'kit\'s compressor input', $k, $c, null, [$contact('kit-y', 'Y', $y)]),
            new Load('kit-fan', LoadKind::SharedFan, 'kit\'s fan input', $k, $c, null, [$contact('kit-g', 'G', $g)]),
            new Load('kit-supply', LoadKind::BoardLogic, 'kit\'s electronics', $r, $c),
        ];
    }
}
