<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/**
 * The units there are, the named examples made of them, and any other equipment that they make. Equipment goes by the
 * name of its example, or by its units and options: "furnace:stages=2+condenser".
 */
final class Shelf
{
    /** @var array<string, Archetype> */
    private array $built = [];

    /** @var ?array<string, string> ids of the examples by their units and options */
    private ?array $names = null;

    /**
     * @param  array<string, Unit>  $units  by id
     * @param  array<string, array{title: string, short: string, units: string}>  $examples  by id
     */
    private function __construct(public readonly array $units, private readonly array $examples)
    {
    }

    /**
     * @param  list<mixed>  $units  decoded files of `catalog/units`
     * @param  list<mixed>  $examples  decoded files of `catalog/equipment`
     *
     * @throws InvalidData
     */
    public static function read(array $units, array $examples): self
    {
        $known = $named = [];
        foreach ($units as $json) {
            $unit = Unit::read($json);
            $known[$unit->id] = $unit;
        }
        foreach ($examples as $json) {
            $node = Field::root($json);
            $named[$node->string('id')] = [
                'title' => $node->string('title'),
                'short' => $node->string('short'),
                'units' => $node->string('units'),
            ];
        }

        return new self($known, $named);
    }

    /** @return list<string> ids of the named examples, in the order of their names */
    public function ids(): array
    {
        return array_keys($this->examples);
    }

    public function knows(string $id): bool
    {
        try {
            $this->archetype($id);

            return true;
        } catch (InvalidData|Unheld) {
            return false;
        }
    }

    /**
     * @param  string  $id  of an example, or units with their options
     *
     * @throws InvalidData where there is no such unit, option or choice
     * @throws Unheld where the units do not make equipment
     */
    public function archetype(string $id): Archetype
    {
        return $this->built[$id] ??= $this->build($id);
    }

    /** The name of an example made just so; else the units and options themselves. */
    public function name(Composition $composition): string
    {
        $this->names ??= array_flip(
            array_map(fn (array $example): string => $this->composed($example['units'])->key(), $this->examples),
        );

        return $this->names[$composition->key()] ?? $composition->key();
    }

    /**
     * The units that the answers mean, with the options that they decide; the others are as their files have them.
     *
     * @param  array<string, string>  $answers
     *
     * @throws Unheld where no unit is meant, or a unit cannot be as the answers say
     */
    public function meant(array $answers): Composition
    {
        $chosen = [];
        $meant = array_values(array_filter($this->units, static fn (Unit $u): bool => $u->isMeantBy($answers)));
        foreach ($meant as $unit) {
            $options = [];
            foreach ($unit->options as $key => $option) {
                $choice = $option->chosenBy($answers, $option->question($unit, $meant));
                if ($choice !== null && ! in_array($choice, $option->choices, true)) {
                    throw new Unheld(Message::of('equipment.build.no-such-option', unit: $unit->title));
                }
                $options = $choice === null ? $options : [...$options, $key => $choice];
            }
            $chosen[] = Chosen::of($unit, $options, $unit->placeMeantBy($answers));
        }
        if ($chosen === []) {
            throw new Unheld(Message::of('equipment.build.no-unit'));
        }

        return new Composition($chosen);
    }

    /**
     * The answers that mean some equipment, with what is assumed of it besides.
     *
     * @return array<string, string> by question
     *
     * @throws InvalidData where there is no such unit, option or choice
     * @throws Unheld where the units do not make equipment
     */
    public function answers(string $id): array
    {
        return Meaning::of($this->composed($id), $this, count($this->archetype($id)->supplies()));
    }

    /** Whether some equipment is what the answers mean, whatever its options that nobody was asked for. */
    public function isMeant(string $id, Composition $meant): bool
    {
        try {
            $is = $this->composed($id);
        } catch (InvalidData) {
            return false;
        }

        return $is->isMeant($meant);
    }

    /** What the answers mean, with the places and the added units of what stood in the house before. */
    public function carrying(Composition $meant, ?string $before): Composition
    {
        try {
            return $before === null ? $meant : $meant->carrying($this->composed($before));
        } catch (InvalidData) {
            return $meant;
        }
    }

    private function build(string $id): Archetype
    {
        $example = $this->examples[$id] ?? null;
        $composition = $this->composed($id);

        if ($example === null) {
            $id = $this->name($composition);
            $example = $this->examples[$id] ?? null;
        }

        return $composition->archetype($id, $example['title'] ?? null, $example['short'] ?? null);
    }

    /**
     * Units and options of an example, or as they are written.
     *
     * @throws InvalidData where there is no such unit, option, choice or place
     */
    public function composed(string $key): Composition
    {
        $chosen = [];
        foreach (explode('+', $this->examples[$key]['units'] ?? $key) as $part) {
            [$head, $options] = [...explode(':', $part, 2), ''];
            [$id, $at] = [...explode('@', $head, 2), ''];
            $place = $at === '' ? null : Place::tryFrom($at);
            if ($at !== '' && $place === null) {
                throw InvalidData::notAllowed('/place', $at, implode(', ', array_column(Place::cases(), 'value')));
            }
            $unit =
                $this->units[$id] ??
                throw InvalidData::unreadable(
                    '',
                    Message::of('equipment.build.no-such-unit', unit: $id, known: array_keys($this->units)),
                );
            $given = [];
            foreach ($options === '' ? [] : explode(',', $options) as $option) {
                [$name, $choice] = [...explode('=', $option, 2), ''];
                $given[$name] = $choice;
            }
            $chosen[] = Chosen::of($unit, $given, $place);
        }

        return new Composition($chosen);
    }
}
