<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Words\Message;

/** How long each proof of this equipment has to wait before it can be judged, from the equipment's own delays. */
final readonly class Waits
{
    /** Seconds of a relay that answers at once, and its motor. */
    private const AT_ONCE = 5;

    private Archetype $archetype;

    public function __construct(private Installation $house)
    {
        $this->archetype = $house->archetype;
    }

    public function of(CallName $call, Method $method): Wait
    {
        return match (true) {
            $method === Method::AtRest => new Wait(
                $this->dropOff($call)->seconds,
                Message::of('proving.waits.last-call-runs-on'),
                Wait::FROM_START,
            ),
            $method->isAtAnyPower() => new Wait(
                0,
                Message::of('proving.waits.nothing-to-wait-for'),
                Wait::FROM_START,
            ),
            $method->isDead() => new Wait(
                0,
                Message::of('proving.waits.measured-with-power-off-nothing'),
                Wait::FROM_START,
            ),
            $method !== Method::AuxAlone && $this->runsCompressor($call) => $this->compressor($method),
            default => $this->heat($call),
        };
    }

    /** The wait of a stage that joins a call already running: the compressor does not stop in between. */
    public function onward(CallName $call): Wait
    {
        $auxiliary = $call === CallName::Aux1 || $call === CallName::Aux2 || ! $this->runsCompressor($call);

        return $auxiliary
            ? $this->heat($call)
            : new Wait(
                self::AT_ONCE,
                Message::of('proving.waits.second-stage-joins-running-compressor'),
                Wait::FROM_START,
            );
    }

    /**
     * The wait of a call that the thermostat's test menu makes: the menu's own, and the outdoor board's where a
     * compressor runs; null where it has no such menu.
     */
    public function forced(CallName $call, Profile $profile): ?Wait
    {
        $board = $this->runsCompressor($call) ? (int) ($this->archetype->delays['outdoor-board'] ?? 0) : 0;

        return $profile->testEntry === ''
            ? null
            : new Wait(
                max($profile->testWait, $this->heat($call)->seconds) + $board,
                Message::of('proving.waits.test-menu', entry: $profile->testEntry),
                Wait::FROM_START,
            );
    }

    /** How long what pulled in may run on after the call has ended: the blower, a sequencer that cools down. */
    public function dropOff(CallName $call): Wait
    {
        $delays = $this->archetype->delays;
        $on = match ($call) {
            CallName::Fan, CallName::Humidify, CallName::Dehumidify => 0,
            default => (int) max(
                $delays['blower-off'] ?? 0,
                $delays['sequencer-off'] ?? 0,
                $delays['zone-valve'] ?? 0,
            ),
        };

        return $on === 0
            ? new Wait(self::AT_ONCE, Message::of('proving.waits.falls-out-at-once'), Wait::FROM_CALL_OFF)
            : new Wait($on, Message::of('proving.waits.runs-on-after-call'), Wait::FROM_CALL_OFF);
    }

    /** Whether a compressor runs while this step is done, and has to rest after it. */
    public function runs(Step $step): bool
    {
        return ! $step->staysDead && $step->method !== Method::AuxAlone && $this->runsCompressor($step->call);
    }

    public function runsCompressor(CallName $call): bool
    {
        return in_array(TerminalName::Y1, CallTable::needed($this->archetype)->closes($call), true);
    }

    private function compressor(Method $method): Wait
    {
        $off = (int) ($this->archetype->delays['compressor-off'] ?? 300);
        $board = (int) ($this->archetype->delays['outdoor-board'] ?? 0);
        if (in_array($method, [Method::Voltage, Method::FloatLift, Method::Shed, Method::Chain], true)) {
            $then =
                $board > 0
                    ? Message::of('proving.waits.then-outdoor-boards-own-delay')
                    : Message::of('proving.waits.text');

            return new Wait(
                $off + $board,
                Message::of('proving.waits.compressor-minimum-off-counted-from', then: $then),
                Wait::FROM_POWER_ON,
                $off + $board,
            );
        }

        return $board > 0
            ? new Wait(
                $board,
                Message::of('proving.waits.outdoor-board-holds-compressor-back'),
                Wait::FROM_POWER_ON,
            )
            : new Wait(
                $off,
                Message::of('proving.waits.compressor-off-time-with-thermostat'),
                Wait::FROM_POWER_OFF,
            );
    }

    private function heat(CallName $call): Wait
    {
        $delays = $this->archetype->delays;

        return match (true) {
            ! $call->isHeating() => new Wait(
                self::AT_ONCE,
                Message::of('proving.waits.blower-relay-answers-at-once'),
                Wait::FROM_START,
            ),
            isset($delays['ignition']) => new Wait(
                (int) $delays['ignition'],
                Message::of('proving.waits.ignition-sequence-before-gas-valve'),
                Wait::FROM_START,
            ),
            isset($delays['sequencer-on']) => new Wait(
                (int) $delays['sequencer-on'],
                Message::of('proving.waits.sequencer-warms-up-before-strip'),
                Wait::FROM_START,
            ),
            default => new Wait(
                (int) ($delays['zone-valve'] ?? 15),
                Message::of('proving.waits.valve-has-open-before-end'),
                Wait::FROM_START,
            ),
        };
    }
}
