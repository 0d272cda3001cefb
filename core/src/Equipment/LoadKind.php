<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

/**
 * Kinds of loads with their default electrical figures at 24 V (general engineering practice; a nameplate or a
 * measurement overrides them).
 */
enum LoadKind: string
{
    public const PULL_IN_VOLTS = 18.0;

    public const DROP_OUT_VOLTS = 10.8;

    case Contactor = 'contactor';
    case Relay = 'relay';
    case ReversingValve = 'reversing-valve';
    case Sequencer = 'sequencer';
    case GasValve = 'gas-valve';
    case ZoneValve = 'zone-valve';
    case Solenoid = 'solenoid';
    case BoardInput = 'board-input';
    case BoardLogic = 'board-logic';
    case SharedCompressor = 'shared-compressor';
    case SharedFan = 'shared-fan';

    /**
     * Impedance in ohms at 60 Hz as [resistance, reactance], at rest or pulled in.
     *
     * @return array{float, float}
     */
    public function impedance(bool $pulledIn): array
    {
        return match ($this) {
            self::Contactor => $pulledIn ? self::fromVa(8.0, 0.35) : self::fromVa(30.0, 0.75),
            self::Relay => self::fromVa(4.0, 0.6),
            self::ReversingValve => self::fromVa($pulledIn ? 7.0 : 12.0, 0.4),
            self::Sequencer => self::fromVa(5.0, 1.0),
            self::GasValve => self::fromVa(0.45 * 24.0, 0.9),
            self::ZoneValve => self::fromVa(6.0, 0.8),
            self::Solenoid => self::fromVa(10.0, 0.45),
            self::BoardInput => [2200.0, 0.0],
            self::BoardLogic => self::fromVa(3.0, 1.0),
            self::SharedCompressor, self::SharedFan => [4400.0, 0.0],
        };
    }

    /** DC resistance in ohms, as an ohmmeter shows it. */
    public function dcOhms(): float
    {
        return match ($this) {
            self::Contactor => 13.0,
            self::Relay, self::ZoneValve => 60.0,
            self::ReversingValve => 17.0,
            self::Sequencer => 115.0,
            self::GasValve => 45.0,
            self::Solenoid => 22.0,
            self::BoardInput => 2200.0,
            self::BoardLogic => 5000.0,
            self::SharedCompressor, self::SharedFan => 4400.0,
        };
    }

    /** @return array{float, float} volts at which it pulls in for certain, and at which it surely drops out */
    public function thresholds(): array
    {
        return match ($this) {
            self::SharedFan => [7.0, 5.0],
            self::SharedCompressor => [self::PULL_IN_VOLTS, 15.0],
            default => [self::PULL_IN_VOLTS, self::DROP_OUT_VOLTS],
        };
    }

    /** Whether it has a rest and a pulled-in state that thresholds decide. */
    public function hasState(): bool
    {
        return $this !== self::BoardLogic;
    }

    /** Switches line voltage by contacts of its own. */
    public function hasLineContacts(): bool
    {
        return in_array($this, [self::Contactor, self::Relay, self::Sequencer], true);
    }

    /** A coil proper: it can buzz between the thresholds and its impedance has the ±20 % tolerance. */
    public function isCoil(): bool
    {
        return match ($this) {
            self::BoardInput, self::BoardLogic, self::SharedCompressor, self::SharedFan => false,
            default => true,
        };
    }

    /** @return array{float, float} ohms, from volt-amperes at 24 V and power factor */
    private static function fromVa(float $va, float $powerFactor): array
    {
        $ohms = (24.0 * 24.0) / $va;

        return [$ohms * $powerFactor, $ohms * sqrt(1.0 - $powerFactor * $powerFactor)];
    }
}
