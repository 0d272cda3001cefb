<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Played;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\HouseState;
use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\RepairId;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Suspect\SuspectList;
use Unionbit\Core\Tracing\Test\Result;

/**
 * A simulated house with faults in it, which answers every test as the circuit does: its line is a little off, its
 * meter is a hand meter, its fuse opens and stays open. For tests, benchmarks and sessions that are played. It says of
 * itself that it is simulated. Deterministic by its seed.
 */
final class PlayedHouse
{
    /** Supplies whose fuse is open. */
    public OpenFuses $open;

    private float $line;

    /** @var array<string, true> faults that are not there at this try */
    private array $away = [];

    /**
     * @param  list<Fault>  $faults
     * @param  float  $wrong  share of answers that are wrong
     * @param  bool  $comesAndGoes  what is intermittent is there at every other try, not always
     */
    public function __construct(
        private readonly AskedHouse $house,
        private readonly Senses $sight,
        private array $faults,
        private int $seed = 1,
        private readonly float $wrong = 0.0,
        private readonly bool $comesAndGoes = false,
    ) {
        $this->open = OpenFuses::none();
        $this->line = 0.96 + 0.08 * $this->random();
    }

    /** 0 to 1. */
    private function random(): float
    {
        $this->seed = ($this->seed * 1103515245 + 12345) & 0x7FFFFFFF;

        return (($this->seed >> 8) & 0xFFFF) / 65536.0;
    }

    private function fault(): ?Fault
    {
        $there = array_values(array_filter($this->faults, fn (Fault $f): bool => ! isset($this->away[$f->id])));

        return $there === [] ? null : Fault::together(...$there);
    }

    /** Before each try: what comes and goes is there, or is not. */
    private function turns(): void
    {
        $this->away = [];
        foreach ($this->comesAndGoes ? $this->faults : [] as $fault) {
            if ($fault->intermittent && $this->random() < 0.5) {
                $this->away[$fault->id] = true;
            }
        }
    }

    /** What a call was seen to do before the visit, and what it did to the fuse. */
    public function complained(CallName $call): Result
    {
        $this->away = [];

        return $this->seen(Hands::calling($call), $this->sight->running());
    }

    public function answer(Hands $setup, Probe $probe): Result
    {
        $this->turns();
        if ($probe->inspect !== '') {
            return new Result(found: $this->finds($probe->inspect));
        }
        if ($probe->mode === null || $probe->from === null || $probe->to === null) {
            return $this->seen($setup, $probe->see);
        }
        [$solved, $fuses] = $this->run($setup);
        $from = $this->house->contacts->touched($probe->from, $setup);
        $to = $this->house->contacts->touched($probe->to, $setup);
        if ($this->wrong > 0.0 && $this->random() < $this->wrong) {
            return $this->slipped($probe->mode, $fuses);
        }

        return match ($probe->mode) {
            MeterMode::Volts => $this->number($this->volts($solved, $from, $to), 0.05, $fuses),
            MeterMode::Amps => $this->number($solved->amps($from) * $this->line, 0.01, $fuses),
            MeterMode::Ohms => $this->ohms($solved->ohms($from, $to), $fuses),
            MeterMode::Beep => new Result(
                beeps: ($solved->ohms($from, $to) ?? INF) < Meter::BEEPS_BELOW,
                fuses: $fuses,
            ),
            MeterMode::NonContact => new Result(fuses: $fuses),
        };
    }

    private function volts(HouseState $solved, string $from, string $to): float
    {
        $volts = $solved->volts($from, $to);

        return $volts === null ? $this->random() * 0.4 * Expectation::GHOST_VOLTS : $volts * $this->line;
    }

    /** @param  array<string, string>  $fuses */
    private function ohms(?float $ohms, array $fuses): Result
    {
        return $ohms === null ? new Result(over: true, fuses: $fuses) : $this->number($ohms + 0.2, 0.1, $fuses);
    }

    /** @param  array<string, string>  $fuses */
    private function number(float $value, float $step, array $fuses): Result
    {
        $read = round($value * (0.99 + 0.02 * $this->random()) + $step * $this->random(), 2);

        return new Result($read, $read, fuses: $fuses);
    }

    /** @param  array<string, string>  $fuses */
    private function slipped(MeterMode $mode, array $fuses): Result
    {
        if ($mode === MeterMode::Ohms) {
            return new Result(over: true, fuses: $fuses);
        }
        $value = $this->random() < 0.7 ? 0.1 : 26.0 * $this->random();

        return new Result($value, $value, fuses: $fuses);
    }

    /** @return array{HouseState, array<string, string>} the house in a set-up, and fuses that open in it */
    private function run(Hands $setup): array
    {
        $solved = $this->house->with($this->fault(), $this->open)->state($setup);
        $new = array_values(array_diff($solved->point->openFuses ?? [], $this->open->supplies));
        $before = $this->open;
        $this->open = $before->with(...$new);
        $trips = array_filter(
            $setup->breakers(),
            fn (string $id): bool => $solved->multiple($this->house->circuit, $id) > 2.0,
        );
        if ($trips !== []) {
            $open = $before->with(...$setup->breakers());
            $solved = $this->house->with($this->fault(), $open)->state($setup->broken());
        }

        return [$solved, array_fill_keys($new, 'opened')];
    }

    /** @param  list<string>  $keys */
    private function seen(Hands $setup, array $keys): Result
    {
        $held = $this->house->with($this->fault(), $this->open)->state($setup);
        [$solved, $fuses] = $this->run($setup);
        $sees = [];
        foreach ($keys as $key) {
            $sees[$key] = $this->sees($setup, $solved, $held, $key);
        }
        if ($this->wrong > 0.0 && $this->random() < $this->wrong) {
            $key = array_key_first($sees) ?? '';
            $answers = $this->sight->answers[$key] ?? ['yes', 'no'];
            $sees[$key] = $answers[$sees[$key] === $answers[0] ? 1 : 0];
        }

        return new Result(sees: $sees, fuses: $fuses);
    }

    private function sees(Hands $setup, HouseState $solved, HouseState $held, string $key): string
    {
        $states = $solved->states($this->house->circuit, $key);
        $on = ($solved->seen[$key] ?? false) && ! $setup->isolated;
        $multiple = $held->multiple($this->house->circuit, $this->sight->fused());

        return match ($key) {
            Senses::DISPLAY => $setup->face() !== Face::On || ! ($solved->seen[$key] ?? false) ? 'off' : 'on',
            Senses::FUSE => match (true) {
                $setup->breakers() !== [] => 'none',
                $this->isBlown() => 'open',
                default => 'whole',
            },
            Senses::BREAKER => $multiple > 2.0 ? 'trips' : ($multiple > 1.35 ? 'warm' : 'holds'),
            Senses::TRANSFORMER => $multiple > 1.2 ? 'hot' : 'warm',
            Senses::LINE => $setup->isolated || $this->isWithoutLine() ? 'no' : 'yes',
            default => match (true) {
                $on => 'yes',
                in_array(LoadState::Chattering, $states, true) => 'chatters',
                default => 'no',
            },
        };
    }

    private function isBlown(): bool
    {
        return $this->open->has($this->sight->fused()) ||
            array_any($this->faults, static fn (Fault $f): bool => $f->entry === 'fuse-blown');
    }

    private function isWithoutLine(): bool
    {
        return array_any(
            $this->faults,
            static fn (Fault $f): bool => $f->entry === 'no-line' || $f->entry === 'door-open',
        );
    }

    private function finds(string $target): string
    {
        foreach ($this->faults as $fault) {
            if ($fault->repair === $target) {
                return $fault->entry;
            }
        }

        return $target === RepairId::at('fuse', $this->sight->fused())->text && $this->isBlown()
            ? 'fuse-blown'
            : 'sound';
    }

    /** Nothing is wrong with it any more. */
    public function isSound(): bool
    {
        return $this->faults === [] && $this->open->areNone();
    }

    /** A new fuse, a repair: what is done to the house; a wiggle with whether it answered. */
    public function does(Event $event): Event
    {
        if ($event->kind === EventKind::Touched) {
            return $event->answering(
                array_any(
                    $this->faults,
                    fn (Fault $f): bool => $f->intermittent &&
                        in_array($event->of, SuspectList::spots($f, $this->house->circuit), true),
                ),
            );
        }
        if ($event->kind === EventKind::FuseReplaced) {
            $this->open = $this->open->without($event->of);
            $this->ends(RepairId::at('fuse', $event->of)->text);
        }
        if ($event->kind === EventKind::Repaired) {
            $this->ends($event->what);
        }
        if ($event->kind === EventKind::Soaked) {
            $this->faults = array_values(
                array_filter(
                    $this->faults,
                    static fn (Fault $f): bool => ! in_array($f->entry, ['stuck-delay', 'outdoor-delay'], true),
                ),
            );
        }

        return $event;
    }

    private function ends(string $repair): void
    {
        $this->faults = array_values(
            array_filter($this->faults, static fn (Fault $f): bool => $f->repair !== $repair && $f->id !== $repair),
        );
    }
}
