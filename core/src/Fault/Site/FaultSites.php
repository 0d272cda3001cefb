<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault\Site;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Equipment\SharedKit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Job\SafetyKind;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Conductor;

/** What of a house a fault can befall, by the catalogue's words for it. */
final readonly class FaultSites
{
    public function __construct(private Installation $installation, private Netlist $netlist)
    {
    }

    /** @return list<Part> */
    public function elements(string $of): array
    {
        return match ($of) {
            'winding' => $this->kind(ElementKind::Winding),
            'door' => $this->installation->archetype->doorSwitch
                ? array_slice($this->kind(ElementKind::Winding), 0, 1)
                : [],
            'outdoor-y' => $this->joints(Side::Far, $this->outdoorCalls(TerminalName::Y1)),
            'fuse' => $this->kind(ElementKind::Fuse),
            'winding-fused' => $this->supplies(static fn (Transformer $t): bool => $t->fuseAmps !== null),
            'winding-unfused' => $this->supplies(static fn (Transformer $t): bool => $t->fuseAmps === null),
            'switch' => $this->kind(ElementKind::ThermostatSwitch),
            'link' => $this->ids(static fn (Element $e): bool => $e->id === Part::link()->id),
            'tie' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::Jumper && $e->id !== Part::link()->id,
            ),
            'conductor' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::Wire && $e->isAt(Side::Near),
            ),
            'joint-near' => $this->wallJoints(Side::Near),
            'strip-c' => $this->strips(Lead::Common),
            'strip-r' => $this->strips(Lead::Hot),
            'joint-far' => $this->wallJoints(Side::Far),
            'joint-onward' => $this->onwardJoints(),
            'outdoor-w' => $this->joints(Side::Far, $this->outdoorCalls(TerminalName::W1)),
            'contact' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::Contact && $e->subject !== 'defrost',
            ),
            'limit', 'rollout', 'draught', 'high-pressure', 'low-pressure' => $this->ids(
                static fn (Element $e): bool => $e->kind === ElementKind::SafetySwitch && $e->subject === $of,
            ),
            'float' => $this->devices($this->installation->facts->floats()),
            'shedding' => $this->devices(
                array_values(
                    array_filter(
                        $this->installation->facts->safety,
                        static fn (SafetyDevice $d): bool => $d->kind === SafetyKind::Shedding,
                    ),
                ),
            ),
            'valve-contact', 'end-switch', 'compressor-contact', 'defrost-w' => $this->ids(
                static fn (Element $e): bool => $e->id === $of,
            ),
            'kit-contact' => $this->ids(
                fn (Element $e): bool => $e->kind === ElementKind::Contact &&
                    in_array(
                        $e->subject,
                        array_column(SharedKit::loads($this->installation->archetype), 'id'),
                        true,
                    ),
            ),
            'valve' => $this->loads(static fn (Load $l): bool => $l->id === 'valve'),
            'humidifier' => $this->loads(static fn (Load $l): bool => $l->id === 'humidifier'),
            default => $this->loads(static fn (Load $l): bool => $l->kind->value === $of),
        };
    }

    /**
     * @param  list<SafetyDevice>  $devices
     * @return list<Part> their contacts
     */
    private function devices(array $devices): array
    {
        return $this->ids(
            static fn (Element $e): bool => $e->kind === ElementKind::SafetySwitch &&
                in_array($e->subject, array_column($devices, 'id'), true),
        );
    }

    /** A blower that heat needs, run by the unit or by the thermostat. */
    public function fanInHeat(): bool
    {
        return $this->installation->archetype->fanInHeat !== FanInHeat::None && $this->has(Observable::Blower);
    }

    public function has(Observable $observable): bool
    {
        foreach ($this->installation->loads() as $load) {
            if ($load->observable === $observable) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> screws outdoors of one meaning */
    private function outdoorCalls(TerminalName $name): array
    {
        $points = [];
        foreach ($this->installation->archetype->terminals as $terminal) {
            if ($terminal->place->isOutdoors() && $terminal->name === $name) {
                $points[] = $terminal->point();
            }
        }

        return $points;
    }

    /**
     * @param  list<string>  $screws
     * @return list<Part> where a conductor of any cable ends on one of these
     */
    private function joints(Side $end, array $screws): array
    {
        return $this->ids(
            static fn (Element $e): bool => $e->kind === ElementKind::Joint &&
                $e->isAt($end) &&
                in_array($e->b, $screws, true),
        );
    }

    /** @return list<Part> where conductors of the cables behind the boards are landed */
    private function onwardJoints(): array
    {
        $wall = array_map(static fn (Conductor $c): string => $c->id(), $this->installation->wallConductors());

        return $this->ids(
            static fn (Element $e): bool => $e->kind === ElementKind::Joint &&
                ! in_array($e->subject, $wall, true) &&
                ($e->isAt(Side::Near) || $e->isAt(Side::Far)),
        );
    }

    /** @return list<Part> contacts on the line side of what is seen running */
    public function lineContacts(Observable $observable): array
    {
        $ids = [];
        foreach ($this->installation->loads() as $load) {
            foreach ($load->observable === $observable ? $load->drives : [] as $contact) {
                if ($contact->onLine) {
                    $ids[] = Part::named($contact->id);
                }
            }
        }

        return $ids;
    }

    /** @return list<Part> where the conductors of the wall cable are landed or spliced */
    private function wallJoints(Side $end): array
    {
        $conductors = array_map(static fn (Conductor $c): string => $c->id(), $this->installation->wallConductors());

        return $this->ids(
            static fn (Element $e): bool => $e->kind === ElementKind::Joint &&
                $e->isAt($end) &&
                in_array($e->subject, $conductors, true),
        );
    }

    /** @return list<Part> what is soldered between the strip's screw of each supply's hot or common and its lead */
    private function strips(Lead $lead): array
    {
        return array_map(
            static fn (Transformer $t): Part => Part::strip($t->id, $lead),
            $this->installation->transformers(),
        );
    }

    /** The other half of a conductor, away from where its cable begins; any other part itself. */
    public function farHalf(Part $half): Part
    {
        $element = $this->netlist->elements[$half->id] ?? null;

        return $element?->kind === ElementKind::Wire && $element->isAt(Side::Near)
            ? Part::half($element->subject, Side::Far)
            : $half;
    }

    /** Whether the line before a supply is part of the circuit. */
    public function hasLine(string $supply): bool
    {
        return isset($this->netlist->lineSide[Part::primary($supply)->id]);
    }

    /** @return list<Part> */
    private function supplies(callable $wanted): array
    {
        return array_map(
            static fn (Transformer $t): Part => Part::named($t->id),
            array_values(array_filter($this->installation->transformers(), $wanted)),
        );
    }

    /** @return list<Part> */
    private function kind(ElementKind $kind): array
    {
        return $this->ids(static fn (Element $e): bool => $e->kind === $kind);
    }

    /** @return list<Part> */
    private function ids(callable $wanted): array
    {
        return array_map(
            static fn (Element $e): Part => $e->part(),
            array_values(array_filter($this->netlist->elements, $wanted)),
        );
    }

    /** @return list<Part> */
    private function loads(callable $wanted): array
    {
        return array_map(
            static fn (Load $l): Part => Part::named($l->id),
            array_values(array_filter($this->installation->loads(), $wanted)),
        );
    }
}
