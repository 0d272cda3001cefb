<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

use Unionbit\Core\Words\Message;

/**
 * The canonical names of low-voltage terminals. What is printed on a plate or a board is resolved to one of
 * these by {@see Vocabulary}, in the context of the place where it is printed.
 */
enum TerminalName: string
{
    case R = 'R';
    case Rc = 'Rc';
    case Rh = 'Rh';
    case C = 'C';
    case Y1 = 'Y1';
    case Y2 = 'Y2';
    case G = 'G';
    case W1 = 'W1';
    case W2 = 'W2';
    case Aux = 'Aux';
    case E = 'E';
    case O = 'O';
    case B = 'B';
    case OB = 'O/B';
    case L = 'L';
    case S1 = 'S1';
    case S2 = 'S2';
    case Hum = 'HUM';
    case Deh = 'DEH';
    case K = 'K';
    case Acc1 = 'ACC+';
    case Acc2 = 'ACC-';

    /** A screw that brings a transformer's hot side to the thermostat. */
    public function isHot(): bool
    {
        return match ($this) {
            self::R, self::Rc, self::Rh => true,
            default => false,
        };
    }

    /** A screw that a thermostat switches to hot when it calls. */
    public function isCall(): bool
    {
        return match ($this) {
            self::Y1,
            self::Y2,
            self::G,
            self::W1,
            self::W2,
            self::Aux,
            self::E,
            self::O,
            self::B,
            self::OB,
            self::K => true,
            default => false,
        };
    }

    /** A screw of humidity, ventilation or a sensor: no call of heat or cooling. */
    public function isAccessory(): bool
    {
        return $this->isDry() || in_array($this, [self::Hum, self::Deh, self::S1, self::S2], true);
    }

    /** A screw of a contact that is closed with nothing but its other screw: what it switches has its own supply. */
    public function isDry(): bool
    {
        return $this === self::Acc1 || $this === self::Acc2;
    }

    /** The trade's words for what the terminal does. */
    public function role(): Message
    {
        return Message::term($this, 'role');
    }

    /**
     * The colours that custom puts on this terminal, the usual one first. A hint for defaults and for spotting
     * mistakes, never a proof of what a conductor is.
     *
     * @return list<Colour>
     */
    public function customaryColours(): array
    {
        return match ($this) {
            self::R, self::Rc, self::Rh => [Colour::Red],
            self::C => [Colour::Blue, Colour::Black],
            self::Y1 => [Colour::Yellow],
            self::G => [Colour::Green],
            self::W1 => [Colour::White],
            self::O, self::OB => [Colour::Orange],
            self::B => [Colour::Blue],
            self::W2, self::Aux => [Colour::Brown, Colour::Black],
            self::Y2 => [Colour::Blue, Colour::Orange, Colour::Pink],
            default => [],
        };
    }
}
