<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

use Unionbit\Core\Words\Message;

/**
 * Resolves what is printed to a canonical terminal. Letters are compared without regard to case; aliases hold
 * only in the context of the place and of the kind of equipment, and ambiguous letters stay marked as such.
 */
final class Vocabulary
{
    private const ALIASES = [
        'V' => TerminalName::R,
        'V+' => TerminalName::R,
        'V-' => TerminalName::C,
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

        return $terminal->name !== null || $terminal->note != Terminal::asWritten($terminal->printed)->note;
    }

    private static function doubtful(string $letter, Place $place, bool $heatPump): ?Terminal
    {
        return match ($letter) {
            'B' => $heatPump
                ? Terminal::ambiguous(
                    'B',
                    TerminalName::B,
                    Message::of('terminal.vocabulary.b-reversing-valve-on-most'),
                )
                : Terminal::ambiguous(
                    'B',
                    TerminalName::C,
                    Message::of('terminal.vocabulary.no-reversing-valve-here-so'),
                ),
            'X' => Terminal::ambiguous(
                'X',
                TerminalName::C,
                Message::of('terminal.vocabulary.x-common-on-some-plates'),
            ),
            'H' => Terminal::ambiguous(
                'H',
                TerminalName::W1,
                Message::of('terminal.vocabulary.h-heat-on-old-plates'),
            ),
            'F' => Terminal::ambiguous(
                'F',
                $place === Place::Wall ? TerminalName::G : null,
                Message::of('terminal.vocabulary.f-fan-on-old-plates'),
            ),
            'X2' => Terminal::ambiguous(
                'X2',
                $heatPump ? TerminalName::Aux : TerminalName::W2,
                Message::of('terminal.vocabulary.x2-auxiliary-heat-or-second'),
            ),
            'S', 'D' => Terminal::ambiguous(
                $letter,
                null,
                Message::of('terminal.vocabulary.may-be-sensor-dehumidify-or', letter: $letter),
            ),
            'E/AUX' => Terminal::ambiguous(
                'E/AUX',
                TerminalName::Aux,
                Message::of('terminal.vocabulary.one-screw-for-emergency-auxiliary'),
            ),
            default => null,
        };
    }
}
