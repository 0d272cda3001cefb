<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Contacts;
use Unionbit\Core\Asked\Danger;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LeadLifted;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Tip;

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
        private readonly Contacts $points,
        private readonly Senses $sight,
        private readonly array $repairs,
    ) {
    }

    /** @return list<Candidate> every call as the house makes it, nothing changed by hand */
    public function calls(): array
    {
        if ($this->live === null) {
            $this->live = [];
            foreach (CallTable::needed($this->circuit->installation->archetype)->calls() as $call) {
                $this->live[] = new Candidate(Hands::calling($call), [...$this->sights(), ...$this->volts()]);
            }
        }

        return $this->live;
    }

    /** @return list<Probe> what is seen from each place */
    public function sights(): array
    {
        $probes = [];
        $keys = [...$this->sight->running(), Senses::DISPLAY, Senses::LAMP];
        foreach (Place::cases() as $place) {
            $seen = array_values(array_intersect($this->sight->from($place), $keys));
            if ($seen !== []) {
                $probes[] = Probe::see($seen);
            }
        }

        return [...$probes, Probe::see([Senses::LINE])];
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
            [$hot, $common] = [At::lead($t->id, Lead::Hot), At::lead($t->id, Lead::Common)];
            array_push(
                $probes,
                [$hot, $common],
                [At::read($t->hot), $common],
                [$hot, At::read($t->common)],
                ...$t->fuseAmps === null ? [] : [[$hot, At::lead($t->id, Lead::Fused)]],
            );
        }
        array_push($probes, ...$this->screws(), ...$this->pairsOfParts());

        return $this->volts = [...$this->metered(MeterMode::Volts, $probes), ...$this->clamps()];
    }

    /** @return list<Probe> the clamp at each supply's hot lead: its current alone clears a coil with good ohms */
    private function clamps(): array
    {
        return array_map(
            static fn (Transformer $t): Probe => Probe::clamp(
                At::lead($t->id, $t->fuseAmps === null ? Lead::Hot : Lead::Fuse),
            ),
            $this->circuit->installation->transformers(),
        );
    }

    /** @return list<array{At, At}> each screw with the common, or the hot, that stands beside it */
    private function screws(): array
    {
        $pairs = [];
        $commons = $this->commons();
        foreach ($this->points->netlist->points as $point) {
            if ($point->kind !== PointKind::Screw || $point->place === null) {
                continue;
            }
            $common = $commons[$point->place->value] ?? null;
            if ($common !== null && $common !== $point->id) {
                $pairs[] = [At::read($point->id), At::read($common)];
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

    /** @return list<array{At, At}> the two ends of each load, and each step of a string of switches */
    private function pairsOfParts(): array
    {
        $pairs = [];
        foreach ($this->points->netlist->elements as $element) {
            $isPart = in_array($element->kind, [ElementKind::Load, ElementKind::SafetySwitch], true);
            $ends = $isPart ? Contacts::endsOf($element) : null;
            array_push($pairs, ...$ends === null ? [] : [$ends]);
        }

        return $pairs;
    }

    /**
     * @param  list<array{At, At}>  $pairs
     * @return list<Probe> of those that the house has, each once
     */
    public function metered(MeterMode $mode, array $pairs): array
    {
        $probes = [];
        foreach ($pairs as [$a, $b]) {
            [$one, $other] = [$this->points->node($a), $this->points->node($b)];
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
    private function wallJumper(array $closes): ?Hands
    {
        $setup = Hands::calling()->faced(Face::Bare);
        foreach ($closes as $printed) {
            $terminal = $this->circuit->profile->terminal($printed);
            $hot = $terminal === null ? null : $this->hotOf($printed);
            if ($terminal === null || $hot === null || $this->points->endOn($terminal->point()) === null) {
                return null;
            }
            $setup = $setup->jumping(At::read($hot), $terminal->at());
        }

        return $this->harmless($setup) ? $setup : null;
    }

    /** The screw of the wall from which a printed one is closed. */
    private function hotOf(string $printed): ?string
    {
        $switch = $this->points->netlist->elements[Part::switch($printed)->id] ?? null;
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
    private function boardJumper(array $closes): ?Hands
    {
        $setup = Hands::calling();
        $lifted = [];
        foreach ($closes as $printed) {
            $screw = $this->circuit->profile->terminal($printed)?->point();
            $near = $screw === null ? null : $this->points->endOn($screw);
            $far = $near?->otherEnd();
            $joint = $far === null ? null : $this->points->netlist->elements[Part::joint($far)->id] ?? null;
            if ($far === null || $joint === null) {
                return null;
            }
            $hot = $this->hotAt($joint->b);
            if ($hot === null) {
                return null;
            }
            $setup = $setup->jumping(At::read($hot), At::read($joint->b));
            $lifted[] = $far;
        }
        $setup = $setup->lifting(...$lifted);

        return $this->harmless($setup) ? $setup : null;
    }

    /** The hot screw at the place of another screw. */
    private function hotAt(string $screw): ?string
    {
        $place = $this->points->placeOf(At::read($screw));
        foreach ($this->circuit->installation->transformers() as $transformer) {
            if ($this->points->placeOf(At::read($transformer->hot)) === $place) {
                return $transformer->hot;
            }
        }

        return null;
    }

    /** Whether its jumpers do no harm in a sound house. */
    public function harmless(Hands $setup): bool
    {
        $built = Setup::calling();
        foreach ($setup->things->each(Jumper::class) as $jumper) {
            $a = $this->points->node($jumper->a) ?? $jumper->a->id;
            $b = $this->points->node($jumper->b) ?? $jumper->b->id;
            if (Danger::of($this->circuit, $built, $a, $b) !== null) {
                return false;
            }
            $built = $built->withJumper($a, $b);
        }

        return true;
    }

    /** @return list<Candidate> ohms with everything landed, then with what has to be lifted to part it */
    public function dead(): array
    {
        $found = [new Candidate(Hands::dead(), $this->ohms()), ...$this->coils(), ...$this->cables()];
        if (in_array($this->circuit->profile->power, [PowerKind::Battery, PowerKind::CommonOrBattery], true)) {
            foreach ($this->calls() as $call) {
                $found[] = new Candidate(
                    Hands::dead()->asked($call->setup->call)->lifting(...$this->circuit->endsAt(Place::Wall)),
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
        foreach ($this->points->netlist->elements as $element) {
            $ends = $element->kind === ElementKind::Load ? Contacts::endsOf($element) : null;
            if ($ends !== null && $this->points->has($ends[0])) {
                $found[] = new Candidate(
                    Hands::dead()->with(new LeadLifted($element->id)),
                    $this->metered(MeterMode::Ohms, [$ends]),
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
            $near = array_map(static fn (Tip $t): At => $t->at(), $cable->tips(Side::Near));
            $far = array_map(static fn (Tip $t): At => $t->at(), $cable->tips(Side::Far));
            $wall = $cable->from === Place::Wall;
            $apart = $wall
                ? Hands::dead()->faced(Face::Bare)->lifting(...$this->landed($far))
                : Hands::dead()->lifting(...$this->landed($near), ...$this->landed($far));
            $found[] = new Candidate($apart, $this->apart($far, $cable->to));
            for ($n = 1, $count = count($near); $n < $count; $n++) {
                $found[] = new Candidate(
                    $apart->jumping($near[0], $near[$n]),
                    $this->metered(MeterMode::Ohms, [[$far[0], $far[$n]]]),
                );
            }
            $found[] = new Candidate(Hands::dead()->lifting(...$this->landed($wall ? $far : $near)), $this->ohms());
        }

        return $found;
    }

    /**
     * @param  list<At>  $ends
     * @return list<At> those that are on a screw
     */
    private function landed(array $ends): array
    {
        return array_values(array_filter($ends, $this->circuit->isLanded(...)));
    }

    /** @return list<Probe> across each switch of the thermostat */
    private function switches(): array
    {
        $pairs = [];
        foreach ($this->points->netlist->elements as $element) {
            if ($element->kind === ElementKind::ThermostatSwitch) {
                $pairs[] = [At::read($element->a), At::read($element->b)];
            }
        }

        return $this->metered(MeterMode::Ohms, $pairs);
    }

    /**
     * @param  list<At>  $ends
     * @return list<Probe> each against every other and the sheet metal
     */
    private function apart(array $ends, Place $at): array
    {
        $pairs = [];
        $metal = array_find(
            $this->points->netlist->points,
            static fn ($p): bool => $p->kind === PointKind::Metal && $p->place === $at,
        );
        foreach ($ends as $n => $one) {
            foreach (array_slice($ends, $n + 1) as $other) {
                $pairs[] = [$one, $other];
            }
            if ($metal !== null) {
                $pairs[] = [$one, At::read($metal->id)];
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
        $pairs = [...$this->screws(), ...$this->pairsOfParts()];
        foreach ($this->circuit->installation->transformers() as $t) {
            $lead = static fn (Lead $lead): At => At::lead($t->id, $lead);
            array_push(
                $pairs,
                [$lead(Lead::Hot), $lead(Lead::Common)],
                [$lead(Lead::Line), $lead(Lead::Neutral)],
                ...$t->fuseAmps === null ? [] : [[$lead(Lead::Hot), $lead(Lead::Fused)]],
            );
        }
        array_push($pairs, ...$this->lineContacts());
        foreach ($this->points->netlist->elements as $element) {
            if ($element->kind === ElementKind::Joint || $element->kind === ElementKind::Contact) {
                $pairs[] = [At::read($element->a), At::read($element->b)];
            }
        }

        return $this->ohms = $this->metered(MeterMode::Ohms, $pairs);
    }

    /** @return list<array{At, At}> both sides of each contact on the line */
    public function lineContacts(): array
    {
        $pairs = [];
        foreach ($this->points->netlist->lineSide as $element) {
            $ends = $element->kind === ElementKind::LineContact ? Contacts::endsOf($element) : null;
            array_push($pairs, ...$ends === null ? [] : [$ends]);
        }

        return $pairs;
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
            $found[] = new Candidate($call->setup->broken($id), [
                Probe::see([Senses::BREAKER]),
                Probe::clamp(At::lead($id, Lead::Fuse)),
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
