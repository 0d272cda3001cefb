<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Point\OfPart;

/** What varies within a unit, and the answer of the survey that says which way. */
final readonly class Option
{
    /**
     * @param  list<string>  $choices
     * @param  ?string  $answer  key of the question that decides it; null where nobody is asked yet
     * @param  bool  $each  asked of each unit that has it, where a house has several
     * @param  array<string, string>  $map  choice by answer, where the two are called differently
     * @param  Condition  $given  answers under which the question says something of this unit
     */
    private function __construct(
        public string $key,
        public array $choices,
        public string $default,
        public ?string $answer,
        public bool $each,
        private array $map,
        public Condition $given,
    ) {
    }

    public static function read(string $key, Field $node): self
    {
        $map = [];
        foreach ($node->keys('map') as $answer) {
            $map[$answer] = $node->at('map')->string($answer);
        }
        $choices = $node->strings('choices');
        $default = $node->string('default');
        if (array_diff([$default, ...$map], $choices) !== []) {
            throw InvalidData::notAllowed("{$node->pointer}/default", $default, implode(', ', $choices));
        }

        return new self(
            $key,
            $choices,
            $default,
            $node->has('answer') ? $node->string('answer') : null,
            $node->bool('each', false),
            $map,
            Condition::read($node, 'given'),
        );
    }

    /**
     * @param  array<string, string>  $answers
     * @param  ?string  $question  key of the question that decides it in this house
     * @return ?string the choice that the answers make, which this unit may not have; null where they say nothing of it
     */
    public function chosenBy(array $answers, ?string $question): ?string
    {
        $given = $question === null ? null : $answers[$question] ?? null;
        if ($given === null || ! $this->given->holds($answers)) {
            return null;
        }

        return $this->map === [] ? $given : $this->map[$given] ?? null;
    }

    /** The answer that makes a choice; null where none does. */
    public function answering(string $choice): ?string
    {
        $answer = $this->map === [] ? $choice : array_search($choice, $this->map, true);

        return $answer === false ? null : (string) $answer;
    }

    /**
     * The question that decides it among the units of a house: of its own unit, "motor@furnace", where another has the
     * same option and each is asked.
     *
     * @param  list<Unit>  $units
     */
    public function question(Unit $own, array $units): ?string
    {
        $having = array_filter(
            $units,
            fn (Unit $unit): bool => ($unit->options[$this->key]->answer ?? null) === $this->answer,
        );

        return $this->answer === null
            ? null
            : (new OfPart($this->answer, $this->each && count($having) > 1 ? $own->id : null))->text();
    }
}
