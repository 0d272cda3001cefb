<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Water;

use Closure;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Job\Interview\Ask\Wished;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;

/** One overflow switch open, in every call: what stops, what goes on, whether water goes on, by the circuit. */
final readonly class FullPan
{
    /**
     * @param  bool  $stands  some conductor goes through its contacts
     * @param  array<string, list<string>>  $dry  loads seen or heard running, ids by call
     * @param  array<string, list<string>>  $wet  the same with the switch open
     * @param  bool  $display  the thermostat stays up in every call
     * @param  bool  $charges  one that charges through a load goes on charging
     * @param  array<string, list<string>>  $makers  of water at the switch's place, by call
     */
    private function __construct(
        public SafetyDevice $device,
        public bool $stands,
        public array $dry,
        public array $wet,
        public bool $display,
        public bool $charges,
        private array $makers,
    ) {
    }

    /**
     * @param  Circuit  $circuit  in which the switch stands
     * @param  ?array<string, list<string>>  $running  what has pulled in with the pan dry, by call, where that is known
     */
    public static function of(Circuit $circuit, SafetyDevice $device, ?array $running = null): self
    {
        $table = CallTable::needed($circuit->installation->archetype);
        $dry = static fn (CallName $call): array => $running[$call->value] ??
            $circuit->operate(Setup::ofCall($table, $call, $circuit->profile))->pulledIn();

        return self::inCalls($circuit, $device, $table->calls(), $dry);
    }

    /** The same for water and display alone: the calls that make water there, and the thermostat at rest. */
    public static function ofWater(Circuit $circuit, SafetyDevice $device): self
    {
        $pan = self::pan($circuit, $device);
        $calls = array_filter(
            CallTable::needed($circuit->installation->archetype)->calls(),
            static fn (CallName $c): bool => $c === CallName::Idle ||
                WaterMakers::in($circuit->installation, $c, $pan) !== [],
        );

        return self::inCalls($circuit, $device, array_values($calls), static fn (): array => []);
    }

    /**
     * @param  list<CallName>  $calls
     * @param  Closure(CallName): list<string>  $running  what has pulled in with the pan dry
     */
    private static function inCalls(Circuit $circuit, SafetyDevice $device, array $calls, Closure $running): self
    {
        $table = CallTable::needed($circuit->installation->archetype);
        $contacts = $circuit->netlist(Setup::calling())->contactsOf($device->id);
        $open = array_map(static fn (string $id): Opened => new Opened(Part::named($id)), $contacts);
        $dry = $wet = $makers = [];
        $display = $charges = true;
        foreach ($contacts === [] ? [] : $calls as $call) {
            $opened = $circuit->operate(Setup::ofCall($table, $call, $circuit->profile)->with(...$open));
            $dry[$call->value] = self::seen($circuit, $running($call));
            $wet[$call->value] = self::seen($circuit, $opened->pulledIn());
            $display = $display && $opened->thermostatUp;
            $charges = $charges && ! self::starves($circuit, $opened);
            $makers[$call->value] = WaterMakers::in($circuit->installation, $call, self::pan($circuit, $device));
        }

        return new self($device, $contacts !== [], $dry, $wet, $display, $charges, $makers);
    }

    /** @return array<string, list<string>> what goes on making water, load ids by call; none in a good place */
    public function water(): array
    {
        $on = [];
        foreach ($this->wet as $call => $loads) {
            $on[$call] = array_values(array_intersect($loads, $this->makers[$call]));
        }

        return array_filter($on, static fn (array $loads): bool => $loads !== []);
    }

    /** @return list<CallName> calls that make water at its place at all */
    public function seasons(): array
    {
        return array_map(
            CallName::from(...),
            array_keys(array_filter($this->makers, static fn (array $loads): bool => $loads !== [])),
        );
    }

    /**
     * What was asked to survive and does not, or is not there to survive: of {@see Wished::SURVIVES}. A fan survives
     * where the fan call still runs, heat where some heating call keeps all that it runs.
     *
     * @param  list<string>  $wishes
     * @return list<string>
     */
    public function unmet(array $wishes): array
    {
        return array_values(
            array_filter(
                $wishes,
                fn (string $wish): bool => ! match ($wish) {
                    'thermostat' => $this->display && $this->charges,
                    'fan' => $this->survives(CallName::Fan),
                    'emergency' => $this->survives(CallName::Emergency),
                    default => array_filter(
                        array_map(CallName::from(...), array_keys($this->dry)),
                        fn (CallName $c): bool => $c->isHeating() && $c !== CallName::Defrost && $this->survives($c),
                    ) !== [],
                },
            ),
        );
    }

    /** Whether a call still runs all that it ran. */
    public function survives(CallName $call): bool
    {
        $dry = $this->dry[$call->value] ?? [];

        return $dry !== [] && array_diff($dry, $this->wet[$call->value] ?? []) === [];
    }

    /**
     * @param  array<string, list<string>>  $loads  ids by call
     * @return list<Message> "Cool 1: contactor"
     */
    public function words(Circuit $circuit, array $loads): array
    {
        $words = [];
        foreach ($loads as $call => $ids) {
            foreach ($ids as $id) {
                $words[] = Message::of(
                    'circuit.water.load-in-call',
                    call: CallName::from((string) $call)->label(),
                    load: $circuit->installation->archetype->load($id)->label ?? $id,
                );
            }
        }

        return $words;
    }

    private static function pan(Circuit $circuit, SafetyDevice $device): Place
    {
        return in_array($device->place, $circuit->installation->archetype->boards, true)
            ? $device->place
            : WaterMakers::coilPlace($circuit->installation) ?? $device->place;
    }

    /** A thermostat that charges through a load loses that charge where the switch breaks its way. */
    private static function starves(Circuit $circuit, OperatingPoint $wet): bool
    {
        $own = $wet->netlist->elements['thermostat.electronics'] ?? null;

        return $circuit->profile->power === PowerKind::Shared &&
            $own !== null &&
            $wet->pulledIn() === [] &&
            $wet->phasors->magnitude($own->a, $own->b) < Circuit::BLANK_VOLTS;
    }

    /**
     * @param  list<string>  $in
     * @return list<string> those that are seen or heard
     */
    private static function seen(Circuit $circuit, array $in): array
    {
        return array_values(
            array_map(
                static fn (Load $load): string => $load->id,
                array_filter(
                    $circuit->installation->archetype->loads,
                    static fn (Load $l): bool => $l->observable !== null && in_array($l->id, $in, true),
                ),
            ),
        );
    }
}
