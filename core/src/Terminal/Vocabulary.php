<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

/**
 * Resolves what is printed to a canonical terminal. Letters are compared without regard to case; aliases hold
 * only in the context of the place and of the kind of equipment, and ambiguous letters stay marked as such.
 */
final class Vocabulary
{
    private const ALIASES = [
        'V' => TerminalName::R,
        '24V' => TerminalName::R,
        'HOT' => TerminalName::R,
        'RH/RC' => TerminalName::R,
        '4' => TerminalName::Rh,
        'COM' => TerminalName::C,
        'COMMON' => TerminalName::C,
        '24V COM' => TerminalName::C,
        'Y' => TerminalName::Y1,
        'M' => TerminalName::Y1,
        'Y-2' => TerminalName::Y2,
        'G1' => TerminalName::G,
        'W' => TerminalName::W1,
        'W-1' => TerminalName::W1,
        'W-2' => TerminalName::W2,
        'W2/AUX' => TerminalName::Aux,
        'AUX1' => TerminalName::Aux,
        'EM' => TerminalName::E,
        'OB' => TerminalName::OB,
    ];

    /** @param  bool  $heatPump whether the equipment reverses: it decides what B, E and X2 can mean */
    public static function resolve(string $printed, Place $place, bool $heatPump = false): Terminal
    {
        $letter = strtoupper(trim($printed));

        $doubtful = self::doubtful($letter, $place, $heatPump);
        if ($doubtful !== null) {
            return $doubtful;
        }
        foreach (TerminalName::cases() as $name) {
            if (strtoupper($name->value) === $letter) {
                return Terminal::known($letter === 'AUX' ? 'Aux' : $name->value, $name);
            }
        }
        $alias = self::ALIASES[$letter] ?? null;

        return $alias === null ? Terminal::asWritten(trim($printed)) : Terminal::known($letter, $alias);
    }

    /** Whether the letter is one that the trade prints at all. */
    public static function knows(string $printed, Place $place, bool $heatPump = false): bool
    {
        $terminal = self::resolve($printed, $place, $heatPump);

        return $terminal->name !== null || $terminal->note !== Terminal::asWritten($terminal->printed)->note;
    }

    private static function doubtful(string $letter, Place $place, bool $heatPump): ?Terminal
    {
        return match ($letter) {
            'B' => $heatPump
                ? Terminal::ambiguous(
                    'B',
                    TerminalName::B,
                    'B is the reversing valve on most units and the common on some: prove it at the equipment.',
                )
                : Terminal::ambiguous(
                    'B',
                    TerminalName::C,
                    'No reversing valve here, so B is most likely the common: prove it at the equipment.',
                ),
            'X' => Terminal::ambiguous(
                'X',
                TerminalName::C,
                'X is the common on some plates: prove it at the equipment.',
            ),
            'H' => Terminal::ambiguous(
                'H',
                TerminalName::W1,
                'H is heat on old plates and a humidifier on others: prove it at the equipment.',
            ),
            'F' => Terminal::ambiguous(
                'F',
                $place === Place::Wall ? TerminalName::G : null,
                'F is the fan on old plates and a fault signal on others: prove it at the equipment.',
            ),
            'X2' => Terminal::ambiguous(
                'X2',
                $heatPump ? TerminalName::Aux : TerminalName::W2,
                'X2 is auxiliary heat or a second stage: prove it at the equipment.',
            ),
            'S', 'D' => Terminal::ambiguous(
                $letter,
                null,
                "{$letter} may be a sensor, dehumidify or a data bus: prove it before any voltage goes on it.",
            ),
            'E/AUX' => Terminal::ambiguous(
                'E/AUX',
                TerminalName::Aux,
                'One screw for emergency and auxiliary heat: it needs no tie.',
            ),
            default => null,
        };
    }
}
