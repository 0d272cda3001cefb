<?php

declare(strict_types=1);

namespace Unionbit\Core\Bench;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Closed;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Solve\FuseCurve;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * A house in simulated seconds: the thermostat's boot and minimum off, coils, contacts that follow after their delay,
 * sequencers and blower delays, fuses that warm up and open, a float that rises. Deterministic from a seed, which
 * picks where in its limits the fuse lies and how long the boot takes. Everything here is simulated.
 */
final class TimeMachine
{
    private const BOOT_SECONDS = [10, 60];

    /** An intermittent fault is there for half of each such period, in simulated seconds. */
    private const INTERMITTENT_SECONDS = 90;

    /** A power-sharing thermostat runs this long on its charge, and needs a tenth of it before it starts again. */
    private const CHARGE_SECONDS = 7200;

    /** @var array<string, int> since when a driver is in, by load */
    private array $since = [];

    /** @var list<string> */
    private array $in = [];

    /** @var array<string, float> share of its opening time that a fuse has used up, by transformer */
    private array $heat = [];

    /** @var array<string, true> */
    private array $open = [];

    private int $bootedAt;

    private int $compressorFreeAt;

    private bool $calling = false;

    /** @var array<string, int> since when an observable has been asked to change */
    private array $asked = [];

    /** @var array<string, bool> */
    private array $seen = [];

    /** @var list<array{t: int, what: Message}> */
    private array $events = [];

    private CallName $lastCall = CallName::Idle;

    private int $charge = self::CHARGE_SECONDS;

    private readonly int $phase;

    private readonly float $fuseWhere;

    private readonly int $bootSeconds;

    private readonly AskedHouse $house;

    public function __construct(
        private readonly Circuit $circuit,
        private readonly ?Fault $fault = null,
        int $seed = 1,
        private readonly ?int $floatAt = null,
        private readonly bool $testBreaker = false,
    ) {
        $this->house = AskedHouse::of($circuit);
        $this->fuseWhere = (($seed * 1103515245 + 12345) % 2147483648) / 2147483648;
        $this->phase = ($seed * 37) % self::INTERMITTENT_SECONDS;
        $this->bootSeconds =
            self::BOOT_SECONDS[0] + (($seed * 7919) % (self::BOOT_SECONDS[1] - self::BOOT_SECONDS[0]));
        $needsBoot = $circuit->profile->power === PowerKind::Common;
        $this->bootedAt = $needsBoot ? $this->bootSeconds : 0;
        $this->compressorFreeAt = $this->off();
    }

    /**
     * Runs a call for so many seconds from power-on and returns what happened, in order.
     *
     * @return list<array{t: int, what: Message}>
     */
    public function run(CallName $call, int $seconds, int $callAt = 0, ?int $callEndsAt = null): array
    {
        $this->note(0, Message::of('bench.time-machine.power-on'));
        for ($t = 0; $t <= $seconds; $t++) {
            $asked = $t >= $callAt && ($callEndsAt === null || $t < $callEndsAt);
            $this->second($t, $asked ? $call : CallName::Idle);
        }

        return $this->events;
    }

    private function second(int $t, CallName $call): void
    {
        $setup = $this->setup($t, $call);
        $point = $this->circuit->operateFrom($setup, $this->in);
        $this->lastCall = $call === CallName::Idle ? $this->lastCall : $call;
        $this->thermostat($t, $call, $point);
        $this->fuses($t, $point, $setup);
        $this->loads($t, $point);
        $this->watch($t, $point);
    }

    private function setup(int $t, CallName $call): Setup
    {
        $setup = $this->house->with($this->isThere($t) ? $this->fault : null)->setup(Hands::calling($call));
        $setup =
            $call === CallName::Idle && $setup->closed === []
                ? Setup::calling(
                    ...CallTable::needed($this->circuit->installation->archetype)->idleAfter(
                        $this->lastCall,
                        $this->circuit->profile,
                    ),
                )->with(...$setup->edits)
                : $setup;
        $closed =
            $t < $this->bootedAt
                ? []
                : array_values(
                    array_filter(
                        $setup->closed,
                        fn (string $printed): bool => $t >= $this->compressorFreeAt ||
                            ! $this->isCompressor($printed),
                    ),
                );
        $this->calls($t, $closed, $setup->closed);
        $timed = Setup::calling(...$closed)->inMode($call->mode())->with(...$setup->edits)->withSlowFuse();
        foreach ($this->circuit->installation->loads() as $load) {
            foreach ($load->drives as $contact) {
                $in = isset($this->since[$load->id]) && $t - $this->since[$load->id] >= $contact->delaySeconds;
                if (! $in && ! $this->isFaulted($contact->id)) {
                    $timed = $timed->with(
                        $contact->normallyClosed
                            ? new Closed(Part::named($contact->id))
                            : new Opened(Part::named($contact->id)),
                    );
                }
            }
        }
        foreach ($this->open as $transformer => $_) {
            $timed = $timed->with(new Opened(Part::fuse($transformer)));
        }
        if ($this->floatAt !== null && $t >= $this->floatAt) {
            $floats = array_column($this->circuit->installation->facts->floats(), 'id');
            foreach ($this->circuit->netlist(Setup::calling())->elements as $element) {
                $opens = $element->kind === ElementKind::SafetySwitch && in_array($element->subject, $floats, true);
                $timed =
                    $opens && ! $this->isFaulted($element->id) ? $timed->with(new Opened($element->part())) : $timed;
            }
        }

        return $timed;
    }

    /**
     * @param  list<string>  $closed
     * @param  list<string>  $wanted
     */
    private function calls(int $t, array $closed, array $wanted): void
    {
        $compressor = array_filter($closed, $this->isCompressor(...)) !== [];
        if ($this->calling && ! $compressor) {
            $this->compressorFreeAt = $t + $this->off();
        }
        $this->calling = $compressor;
        $key = implode(' ', $closed);
        $this->change(
            $t,
            'closed',
            $key,
            $closed === []
                ? ($wanted === []
                    ? Message::of('bench.time-machine.thermostat-closes-nothing')
                    : Message::of('bench.time-machine.thermostat-waits-closes-nothing'))
                : Message::of('bench.time-machine.thermostat-closes', closed: $closed),
        );
    }

    private function thermostat(int $t, CallName $call, OperatingPoint $point): void
    {
        if ($this->circuit->profile->power === PowerKind::Shared) {
            $this->charge($t, $point);
        }
        if ($this->circuit->profile->power !== PowerKind::Common) {
            return;
        }
        if (! $point->thermostatUp) {
            if ($t >= $this->bootedAt) {
                $this->note($t, Message::of('bench.time-machine.thermostat-blanks-under-16-v'));
            }
            $this->bootedAt = $t + 1 + $this->bootSeconds;
            $this->compressorFreeAt = $this->bootedAt + $this->off();
        } elseif ($t === $this->bootedAt && $t > 0) {
            $this->note($t, Message::of('bench.time-machine.thermostat-has-started'));
        }
    }

    /** It charges through an idle load, and lives on what it has while that call is on or its way is broken. */
    private function charge(int $t, OperatingPoint $point): void
    {
        $electronics = $point->netlist->elements['thermostat.electronics'] ?? null;
        $fed =
            $electronics !== null &&
            $point->phasors->magnitude($electronics->a, $electronics->b) >= Circuit::BLANK_VOLTS;
        $this->charge = max(0, min(self::CHARGE_SECONDS, $this->charge + ($fed ? 1 : -1)));
        if ($this->charge === 0 && $t >= $this->bootedAt) {
            $this->note($t, Message::of('bench.time-machine.thermostat-has-used-up-charge'));
            $this->bootedAt = PHP_INT_MAX;
        } elseif ($this->bootedAt === PHP_INT_MAX && $this->charge >= self::CHARGE_SECONDS / 10) {
            $this->bootedAt = $t + 1;
            $this->note($t, Message::of('bench.time-machine.thermostat-has-recharged-starts'));
        }
    }

    private function isThere(int $t): bool
    {
        return $this->fault === null ||
            ! $this->fault->intermittent ||
            ($t + $this->phase) % self::INTERMITTENT_SECONDS < self::INTERMITTENT_SECONDS / 2;
    }

    private function fuses(int $t, OperatingPoint $point, Setup $setup): void
    {
        foreach ($this->circuit->installation->transformers() as $transformer) {
            if (isset($this->open[$transformer->id])) {
                continue;
            }
            $amps = $point->sourceAmps($transformer->id);
            if ($amps * 24.0 > 1.1 * $transformer->ratingVa) {
                $this->change(
                    $t,
                    "load.{$transformer->id}",
                    'over',
                    Message::of(
                        'bench.time-machine.transformer-gives-over',
                        amps: Quantity::of($amps, Unit::Amps, 1),
                        ratingVa: Quantity::of($transformer->ratingVa, Unit::VoltAmps),
                    ),
                );
            }
            if ($transformer->fuseAmps === null || $setup->fuseIsBridged($transformer->id)) {
                continue;
            }
            if ($this->opensBeforeBlanking($transformer, $point, $setup)) {
                $this->open[$transformer->id] = true;
                $this->note(
                    $t,
                    Message::of(
                        'bench.time-machine.fuse-opens-before-thermostat-blanks',
                        fuseAmps: Quantity::of($transformer->fuseAmps, Unit::Amps),
                    ),
                );

                continue;
            }
            // A cycle at under twice the rating may open the fuse: one in the quicker half of its limits does.
            $peak = $point->mostAmps($transformer->id);
            $cycles = $peak > Circuit::CYCLE_FACTOR * $transformer->fuseAmps || $this->fuseWhere < 0.5;
            $amps = $cycles ? $peak : $amps;
            $multiple = $amps / ($transformer->fuseAmps * $setup->fuseFactor($transformer->id));
            $time = $this->testBreaker
                ? FuseCurve::breakerSeconds($multiple, $this->fuseWhere)
                : FuseCurve::seconds($multiple, $this->fuseWhere);
            $this->heat[$transformer->id] =
                $time === null ? 0.0 : ($this->heat[$transformer->id] ?? 0.0) + 1.0 / $time;
            if ($this->heat[$transformer->id] >= 1.0) {
                $this->open[$transformer->id] = true;
                $this->note(
                    $t,
                    Message::of(
                        'bench.time-machine.opens-at',
                        fuseAmps: Quantity::of($transformer->fuseAmps, Unit::Amps),
                        clause: $this->testBreaker
                            ? Message::of('bench.time-machine.test-breaker')
                            : Message::of('bench.time-machine.fuse'),
                        amps: Quantity::of($amps, Unit::Amps, 1),
                    ),
                );
            }
        }
    }

    /**
     * On a hard short the fuse is quicker than the thermostat, which would else open its call; a test breaker is not.
     */
    private function opensBeforeBlanking(Transformer $transformer, OperatingPoint $point, Setup $setup): bool
    {
        return ! $this->testBreaker &&
            $this->circuit->profile->power === PowerKind::Common &&
            ($point->notes !== [] || ! $point->thermostatUp) &&
            in_array(
                $transformer->id,
                $this->circuit->operateFrom($setup->withSlowFuse(false), $this->in)->openFuses,
                true,
            );
    }

    private function loads(int $t, OperatingPoint $point): void
    {
        $this->in = $point->pulledIn();
        foreach ($this->circuit->installation->loads() as $load) {
            if (! $load->kind->hasState()) {
                continue;
            }
            $in = in_array($load->id, $this->in, true);
            if ($in) {
                $this->since[$load->id] ??= $t;
            } else {
                unset($this->since[$load->id]);
            }
            $this->change(
                $t,
                "coil.{$load->id}",
                $point->loads[$load->id]->value,
                Message::of(
                    'bench.time-machine.load',
                    load: $load->label,
                    state: $point->loads[$load->id]->label(),
                ),
                quiet: ! $in && $t === 0,
            );
        }
    }

    /** What is seen follows its coil after the delays of motors and heaters. */
    private function watch(int $t, OperatingPoint $point): void
    {
        $delays = $this->circuit->installation->archetype->delays;
        $now = Observables::of($this->circuit, $point, $this->fault);
        foreach ($now as $name => $on) {
            $before = $this->seen[$name] ?? false;
            if ($on === $before) {
                unset($this->asked[$name]);

                continue;
            }
            $this->asked[$name] ??= $t;
            $delay = match (true) {
                $name === 'blower' && $on => $this->blowerDelay($point, $now['burner'] ?? false),
                $name === 'blower' => $delays['blower-off'] ?? 0,
                Observable::tryFrom($name)?->isStrip() === true => $delays[
                    $on ? 'sequencer-on' : 'sequencer-off'
                ] ?? 0,
                default => 0,
            };
            if ($t - $this->asked[$name] >= $delay) {
                $this->seen[$name] = $on;
                unset($this->asked[$name]);
                $this->note(
                    $t,
                    Message::of(
                        $on ? 'bench.time-machine.on' : 'bench.time-machine.off',
                        what: Message::named('seen', $name),
                    ),
                );
            }
        }
    }

    /** The board starts the blower by itself after the burner; the motor of a cooling call may have a delay too. */
    private function blowerDelay(OperatingPoint $point, bool $burner): int
    {
        $delays = $this->circuit->installation->archetype->delays;

        return match (true) {
            $burner && ! in_array('blower-relay', $this->in, true) => $delays['blower-on-heat'] ?? 0,
            in_array('contactor', $point->pulledIn(), true) => $delays['blower-on-cool'] ?? 0,
            default => 0,
        };
    }

    private function isCompressor(string $printed): bool
    {
        return in_array(
            $this->circuit->profile->terminal($printed)?->name,
            [TerminalName::Y1, TerminalName::Y2],
            true,
        );
    }

    private function isFaulted(string $contact): bool
    {
        return in_array($contact, $this->fault->parts ?? [], true);
    }

    private function off(): int
    {
        return $this->circuit->installation->archetype->delays['compressor-off'] ?? 0;
    }

    /** @var array<string, string> */
    private array $last = [];

    private function change(int $t, string $key, string $value, Message $what, bool $quiet = false): void
    {
        if (($this->last[$key] ?? null) !== $value) {
            $this->last[$key] = $value;
            if (! $quiet) {
                $this->note($t, $what);
            }
        }
    }

    private function note(int $t, Message $what): void
    {
        $this->events[] = ['t' => $t, 'what' => $what];
    }
}
