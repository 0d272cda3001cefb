<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

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

    /**
     * @return array<string, EquipmentTerminal> R, C, Y and G of the board by letter, to which the adapter's leads go;
     *     empty where it cannot stand
     */
    public static function screws(Archetype $archetype): array
    {
        $screws = array_filter(
            array_map(static fn (TerminalName $n): ?EquipmentTerminal => $archetype->boardTerminal($n), [
                'R' => TerminalName::R,
                'C' => TerminalName::C,
                'Y' => TerminalName::Y1,
                'G' => TerminalName::G,
            ]),
        );

        return count($screws) === 4 && count($archetype->supplies()) === 1 ? $screws : [];
    }

    /**
     * @return list<Load> the adapter's two inputs with their contacts, and its own electronics; none where the board
     *     has no screws for it
     */
    public static function loads(Archetype $archetype): array
    {
        $screws = self::screws($archetype);
        if ($screws === []) {
            return [];
        }
        [$r, $c, $y, $g] = array_map(static fn (EquipmentTerminal $t): string => $t->point(), array_values($screws));
        $k = At::screw($screws['R']->place, self::SCREW)->id;
        $contact = static fn (string $id, string $letter, string $to): DrivenContact => new DrivenContact(
            $id,
            Message::of('equipment.shared-kit.kits-contact-in', letter: $letter),
            $r,
            $to,
            false,
            0.0,
            true,
        );

        return [
            new Load(
                'kit-cooling',
                LoadKind::SharedCompressor,
                Message::of('equipment.shared-kit.kits-compressor-input'),
                $k,
                $c,
                null,
                [$contact('kit-y', 'Y', $y)],
            ),
            new Load(
                'kit-fan',
                LoadKind::SharedFan,
                Message::of('equipment.shared-kit.kits-fan-input'),
                $k,
                $c,
                null,
                [$contact('kit-g', 'G', $g)],
            ),
            new Load(
                'kit-supply',
                LoadKind::BoardLogic,
                Message::of('equipment.shared-kit.kits-electronics'),
                $r,
                $c,
            ),
        ];
    }
}
