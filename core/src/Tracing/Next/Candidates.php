<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Standing\Danger;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Tracing\Test\Face;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\World\Points;
use Unionbit\Core\Tracing\World\Sight;

/**
 * Every test of a house that its handbook allows: calls as they are, a wall or a board jumper, dead readings with what
 * has to be lifted, cables apart, the test breaker, looks. Nothing across a safety switch, no jumper that opens a fuse
 * or joins two supplies, no ohms with the power on.
 */
final class Candidates
{
    /** @var ?list<Candidate> */
    private ?array $live = null;

    /** @var ?list<Probe> */
    private ?array $volts = null;

    /** @var ?list<Candidate> */
    private ?array $jumped = null;

    /** @var ?list<Probe> */
    private ?array $ohms = null;

    /** @param  array<string, Repair>  $repairs */
    public function __construct(
        private readonly Circuit $circuit,
        private readonly Points $points,
        private readonly Sight $sight,
        private readonly array $repairs,
    ) {
    }

    /** @return list<Candidate> every call as the house makes it, nothing changed by hand */
    public function calls(): array
    {
        if ($this->live === null) {
            $this->live = [];
            foreach (CallTable::needed($this->circuit->installation->archetype)->calls() as $call) {
                $this->live[] = new Candidate(TestSetup::calling($call), [...$this->sights(), ...$this->volts()]);
            }
        }

        return $this->live;
    }

    /** @return list<Probe> what is seen from each place */
    public function sights(): array
    {
        $probes = [];
        $keys = [...$this->sight->running(), Sight::DISPLAY, Sight::LAMP];
        foreach (Place::cases() as $place) {
            $seen = array_values(array_intersect($this->sight->from($place), $keys));
            if ($seen !== []) {
                $probes[] = Probe::see($seen);
            }
        }

        return [...$probes, Probe::see([Sight::LINE])];
    }

    /**
     * What the live house says to a meter.
     *
     * @return list<Probe> supply by supply, screw by screw against its common, each part
     */
    public function volts(): array
    {
        if ($this->volts !== null) {
            return $this->volts;
        }
        $probes = [];
        foreach ($this->circuit->installation->transformers() as $t) {
            $probes[] = ["{$t->id}.hot", "{$t->id}.common"];
            $probes[] = [$t->hot, "{$t->id}.common"];
            $probes[] = ["{$t->id}.hot", $t->common];
            if ($t->fuseAmps !== null) {
                $probes[] = ["{$t->id}.hot", "{$t->id}.fused"];
            }
        }
        foreach ($this->screws() as $screw => $common) {
            $probes[] = [$screw, $common];
        }
        foreach ($this->pairsOfParts() as $pair) {
            $probes[] = $pair;
        }

        return $this->volts = [...$this->metered(MeterMode::Volts, $probes), ...$this->clamps()];
    }

    /** @return list<Probe> the clamp at each supply's hot lead: its current alone clears a coil with good ohms */
    private function clamps(): array
    {
        return array_map(
            static fn (Transformer $t): Probe => Probe::meter(
                MeterMode::Amps,
                $t->fuseAmps === null ? "{$t->id}.hot" : "{$t->id}.fuse",
            ),
            $this->circuit->installation->transformers(),
        );
    }

    /** @return array<string, string> each screw with the common, or the hot, that stands beside it */
    private function screws(): array
    {
        $pairs = [];
        $commons = $this->commons();
        foreach ($this->points->netlist()->points as $point) {
            if ($point->kind !== PointKind::Screw || $point->place === null) {
                continue;
            }
            $common = $commons[$point->place->value] ?? null;
            if ($common !== null && $common !== $point->id) {
                $pairs[$point->id] = $common;
            }
        }

        return $pairs;
    }

    /** @return array<string, string> a common screw by place; at a wall without one its hot */
    private function commons(): array
    {
        $commons = [];
        foreach ($this->circuit->installation->archetype->terminals as $terminal) {
            if ($terminal->name === TerminalName::C) {
                $commons[$terminal->place->value] ??= $terminal->point();
            }
        }
        $wall = $this->circuit->profile->named(TerminalName::C)?->point();
        if ($wall !== null && $this->points->endOn($wall) !== null) {
            $commons[Place::Wall->value] = $wall;
        } else {
            $hot = $this->circuit->profile->hots()[0] ?? null;
            if ($hot !== null) {
                $commons[Place::Wall->value] = $hot->point();
            }
        }

        return $commons;
    }

    /** @return list<array{string, string}> the two ends of each load, and each step of a string of switches */
    private function pairsOfParts(): array
    {
        $pairs = [];
        foreach ($this->points->netlist()->elements as $element) {
            if ($element->kind === ElementKind::Load) {
                $pairs[] = ["{$element->id}.hot", "{$element->id}.common"];
            }
            if ($element->kind === ElementKind::SafetySwitch) {
                $pairs[] = ["{$element->id}.in", "{$element->id}.out"];
            }
        }

        return $pairs;
    }

    /**
     * @param  list<array{string, string}>  $pairs
     * @return list<Probe> of those that the house has, each once
     */
    public function metered(MeterMode $mode, array $pairs): array
    {
        $probes = [];
        foreach ($pairs as [$a, $b]) {
            $one = $this->points->of($a);
            $other = $this->points->of($b);
            if ($one !== null && $other !== null && $one !== $other) {
                $probes["{$one}~{$other}"] ??= Probe::meter($mode, $a, $b);
            }
        }

        return array_values($probes);
    }

    /** @return list<Candidate> each call by a jumper at the wall with the thermostat off, and at the board */
    public function jumped(): array
    {
        if ($this->jumped !== null) {
            return $this->jumped;
        }
        $this->jumped = [];
        $table = CallTable::needed($this->circuit->installation->archetype);
        foreach ($table->calls() as $call) {
            $closes = $table->printed($call, $this->circuit->profile);
            if ($closes === [] || $call === CallName::Defrost) {
                continue;
            }
            foreach ([$this->wallJumper($closes), $this->boardJumper($closes)] as $setup) {
                if ($setup !== null) {
                    $this->jumped[] = new Candidate($setup, [...$this->sights(), ...$this->volts()]);
                }
            }
        }

        return $this->jumped;
    }

    /** @param  list<string>  $closes  printed */
    private function wallJumper(array $closes): ?TestSetup
    {
        $setup = (new TestSetup())->faced(Face::Bare);
        foreach ($closes as $printed) {
            $terminal = $this->circuit->profile->terminal($printed);
            $hot = $terminal === null ? null : $this->hotOf($printed);
            $screw = $terminal?->point();
            if ($hot === null || $screw === null || $this->points->endOn($screw) === null) {
                return null;
            }
            $setup = $setup->jumping($hot, $screw);
        }

        return $this->harmless($setup) ? $setup : null;
    }

    /** The screw of the wall from which a printed one is closed. */
    private function hotOf(string $printed): ?string
    {
        $switch = $this->points->netlist()->elements["switch.{$printed}"] ?? null;
        if ($switch === null) {
            return null;
        }
        $hot = $switch->other($this->circuit->profile->terminal($printed)?->point() ?? '');
        if ($this->points->endOn($hot) !== null) {
            return $hot;
        }
        foreach ($this->circuit->profile->hots() as $other) {
            if ($this->points->endOn($other->point()) !== null) {
                return $other->point();
            }
        }

        return null;
    }

    /** @param  list<string>  $closes  printed */
    private function boardJumper(array $closes): ?TestSetup
    {
        $setup = new TestSetup();
        $lifted = [];
        foreach ($closes as $printed) {
            $screw = $this->circuit->profile->terminal($printed)?->point();
            $near = $screw === null ? null : $this->points->endOn($screw);
            $far = $near === null ? null : $this->otherEnd($near);
            $joint = $far === null ? null : $this->points->netlist()->elements["{$far}.joint"] ?? null;
            if ($far === null || $joint === null) {
                return null;
            }
            $hot = $this->hotAt($joint->b);
            if ($hot === null) {
                return null;
            }
            $setup = $setup->jumping($hot, $joint->b);
            $lifted[] = $far;
        }
        $setup = $setup->lifting($lifted);

        return $this->harmless($setup) ? $setup : null;
    }

    private function otherEnd(string $end): string
    {
        return str_ends_with($end, '.near') ? substr($end, 0, -5).'.far' : substr($end, 0, -4).'.near';
    }

    /** The hot screw at the place of another screw. */
    private function hotAt(string $screw): ?string
    {
        $place = $this->points->placeOf($screw);
        foreach ($this->circuit->installation->transformers() as $transformer) {
            if ($this->points->placeOf($transformer->hot) === $place) {
                return $transformer->hot;
            }
        }

        return null;
    }

    /** Whether its jumpers do no harm in a sound house. */
    public function harmless(TestSetup $setup): bool
    {
        $built = Setup::calling();
        foreach ($setup->jumpers as [$a, $b]) {
            if (
                Danger::of($this->circuit, $built, $this->points->of($a) ?? $a, $this->points->of($b) ?? $b) !==
                null
            ) {
                return false;
            }
            $built = $built->withJumper($this->points->of($a) ?? $a, $this->points->of($b) ?? $b);
        }

        return true;
    }

    /** @return list<Candidate> ohms with everything landed, then with what has to be lifted to part it */
    public function dead(): array
    {
        $found = [new Candidate(TestSetup::dead(), $this->ohms()), ...$this->coils(), ...$this->cables()];
        if (in_array($this->circuit->profile->power, [PowerKind::Battery, PowerKind::CommonOrBattery], true)) {
            foreach ($this->calls() as $call) {
                $found[] = new Candidate(
                    TestSetup::dead()->asked($call->setup->call)->lifting($this->points->endsAt(Place::Wall)),
                    $this->switches(),
                );
            }
        }

        return $found;
    }

    /** @return list<Candidate> each coil by itself, one of its leads lifted */
    public function coils(): array
    {
        $found = [];
        foreach ($this->points->netlist()->elements as $element) {
            if ($element->kind === ElementKind::Load && $this->points->of("{$element->id}.hot") !== null) {
                $found[] = new Candidate(
                    TestSetup::dead()->lifting(["{$element->id}.hot"]),
                    $this->metered(MeterMode::Ohms, [["{$element->id}.hot", "{$element->id}.common"]]),
                );
            }
        }

        return $found;
    }

    /** @return list<Candidate> each cable apart at both ends, as loops, and with the rest of the house at one end */
    public function cables(): array
    {
        $found = [];
        foreach ($this->circuit->installation->cables as $cable) {
            $near = $far = [];
            foreach ($cable->conductors as $conductor) {
                $near[] = "{$conductor->id()}.near";
                $far[] = "{$conductor->id()}.far";
            }
            $wall = $cable->from === Place::Wall;
            $apart = $wall
                ? TestSetup::dead()->faced(Face::Bare)->lifting($this->landed($far))
                : TestSetup::dead()->lifting([...$this->landed($near), ...$this->landed($far)]);
            $found[] = new Candidate($apart, $this->apart($far, $cable->to));
            for ($n = 1, $count = count($near); $n < $count; $n++) {
                $found[] = new Candidate(
                    $apart->jumping($near[0], $near[$n]),
                    $this->metered(MeterMode::Ohms, [[$far[0], $far[$n]]]),
                );
            }
            $found[] = new Candidate(
                TestSetup::dead()->lifting($this->landed($wall ? $far : $near)),
                $this->ohms(),
            );
        }

        return $found;
    }

    /**
     * @param  list<string>  $ends
     * @return list<string> those that are on a screw
     */
    private function landed(array $ends): array
    {
        return array_values(
            array_filter($ends, fn (string $e): bool => isset($this->points->netlist()->elements["{$e}.joint"])),
        );
    }

    /** @return list<Probe> across each switch of the thermostat */
    private function switches(): array
    {
        $pairs = [];
        foreach ($this->points->netlist()->elements as $element) {
            if ($element->kind === ElementKind::ThermostatSwitch) {
                $pairs[] = [$element->a, $element->b];
            }
        }

        return $this->metered(MeterMode::Ohms, $pairs);
    }

    /**
     * @param  list<string>  $ends
     * @return list<Probe> each against every other and the sheet metal
     */
    private function apart(array $ends, Place $at): array
    {
        $pairs = [];
        $metal = array_find(
            $this->points->netlist()->points,
            static fn ($p): bool => $p->kind === PointKind::Metal && $p->place === $at,
        );
        foreach ($ends as $n => $one) {
            foreach (array_slice($ends, $n + 1) as $other) {
                $pairs[] = [$one, $other];
            }
            if ($metal !== null) {
                $pairs[] = [$one, $metal->id];
            }
        }

        return $this->metered(MeterMode::Ohms, $pairs);
    }

    /** @return list<Probe> */
    private function ohms(): array
    {
        if ($this->ohms !== null) {
            return $this->ohms;
        }
        $pairs = [];
        foreach ($this->screws() as $screw => $common) {
            $pairs[] = [$screw, $common];
        }
        array_push($pairs, ...$this->pairsOfParts());
        foreach ($this->circuit->installation->transformers() as $t) {
            $pairs[] = ["{$t->id}.hot", "{$t->id}.common"];
            $pairs[] = ["{$t->id}.line", "{$t->id}.neutral"];
            if ($t->fuseAmps !== null) {
                $pairs[] = ["{$t->id}.hot", "{$t->id}.fused"];
            }
        }
        foreach ($this->points->netlist()->lineSide as $element) {
            if ($element->kind === ElementKind::LineContact) {
                $pairs[] = ["{$element->subject}.contact-a", "{$element->subject}.contact-b"];
            }
        }
        foreach ($this->points->netlist()->elements as $element) {
            if ($element->kind === ElementKind::Joint || $element->kind === ElementKind::Contact) {
                $pairs[] = [$element->a, $element->b];
            }
        }

        return $this->ohms = $this->metered(MeterMode::Ohms, $pairs);
    }

    /** @return list<Candidate> the test breaker in the fuse's place: nothing called, and each call */
    public function breakers(): array
    {
        $id = $this->sight->fused();
        if ($id === '') {
            return [];
        }
        $found = [];
        foreach ($this->calls() as $call) {
            $found[] = new Candidate($call->setup->broken([$id]), [
                Probe::see([Sight::BREAKER]),
                Probe::meter(MeterMode::Amps, "{$id}.fuse"),
                ...$this->sights(),
            ]);
        }

        return $found;
    }

    /** @return list<Probe> looks that tell whether a repair is needed */
    public function looks(): array
    {
        $probes = [];
        foreach ($this->repairs as $repair) {
            if ($repair->look !== null) {
                $probes[] = Probe::inspect($repair->id);
            }
        }

        return $probes;
    }
}
