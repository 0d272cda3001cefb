<?php

declare(strict_types=1);

namespace Unionbit\Core\Point;

use Unionbit\Core\Terminal\Place;

/** A part of the circuit by its name: one maker for each kind of it, so that a name is put together in one place. */
final readonly class Part
{
    /** A transformer that somebody plugged in at the wall. */
    public const PLUG_IN = 'plug-in';

    /** The module at the equipment that serves a thermostat of two parts. */
    private const MODULE = 'module';

    private const THERMOSTAT = 'thermostat';

    private function __construct(public string $id)
    {
    }

    /** A load, a switch, a contact or a transformer, by the name that its house gives it. */
    public static function named(string $id): self
    {
        return new self($id);
    }

    /** The link between the two hots of the plate, where it is in. */
    public static function link(): self
    {
        return new self('plate.link');
    }

    /** A switch of the thermostat, by the screw that it closes. */
    public static function switch(string $printed): self
    {
        return new self("switch.{$printed}");
    }

    /** Half of a conductor, from one of its ends to its middle. */
    public static function half(string $conductor, Side $side): self
    {
        return new self($conductor.($side === Side::Near ? '.h1' : '.h2'));
    }

    /** What holds a conductor's end: its screw or its splice. */
    public static function joint(At $end): self
    {
        return new self("{$end->id}.joint");
    }

    /** Where a conductor touches the sheet metal. */
    public static function onMetal(string $conductor): self
    {
        return new self("{$conductor}.metal");
    }

    /** Where a conductor touches another of its cable, by that one's number. */
    public static function onOther(string $conductor, int $number): self
    {
        return new self("{$conductor}.touch{$number}");
    }

    public static function touch(At $a, At $b): self
    {
        return new self("touch.{$a->id}.{$b->id}");
    }

    public static function fuse(string $supply): self
    {
        return new self("{$supply}.fuse");
    }

    /** What is soldered behind a strip's screw: of the hot, or of the common. */
    public static function strip(string $supply, Lead $lead): self
    {
        return new self($supply.($lead === Lead::Hot ? '.strip-r' : '.strip-c'));
    }

    public static function bond(string $supply): self
    {
        return new self("{$supply}.bond");
    }

    public static function door(string $supply): self
    {
        return new self("{$supply}.door");
    }

    /** The line before a supply, as a source. */
    public static function mains(string $supply): self
    {
        return new self("{$supply}.mains");
    }

    public static function primary(string $supply): self
    {
        return new self("{$supply}.primary");
    }

    /** The ground of the line between the sheet metal of two units. */
    public static function ground(Place $place): self
    {
        return new self("ground.{$place->value}");
    }

    /** A jumper of the house, by its place in the list of them. */
    public static function tie(int $index): self
    {
        return new self("tie.{$index}");
    }

    /** A jumper that a person puts on. */
    public static function jumper(int $index): self
    {
        return new self("test.{$index}");
    }

    /** A switch that somebody put into a conductor; of several in one device, by its screw. */
    public static function contactOf(string $device, ?string $printed): self
    {
        return new self($device.($printed === null ? '' : ".{$printed}"));
    }

    public static function electronics(): self
    {
        return new self(self::THERMOSTAT.'.electronics');
    }

    public static function wallUnit(): self
    {
        return new self(self::THERMOSTAT.'.wall-unit');
    }

    public static function wallSignal(): self
    {
        return new self(self::THERMOSTAT.'.signal');
    }

    public static function moduleSignal(): self
    {
        return new self(self::MODULE.'.signal');
    }

    /** A conductor of the link between the module and its wall unit. */
    public static function moduleLink(int $number): self
    {
        return new self(self::MODULE.".link.{$number}");
    }

    /** A short lead from the module's screw to the board's. */
    public static function moduleLead(string $printed): self
    {
        return new self("lead.{$printed}");
    }

    public static function plugIn(): self
    {
        return new self(self::PLUG_IN);
    }

    public static function plugInLead(): self
    {
        return new self(self::PLUG_IN.'.lead');
    }
}
