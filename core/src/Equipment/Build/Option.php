<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;

/** What varies within a unit, and the answer of the survey that says which way. */
final readonly class Option
{
    /**
     * @param  list<string>  $choices
     * @param  ?string  $answer  key of the question that decides it; null where nobody is asked yet
     * @param  array<string, string>  $map  choice by answer, where the two are called differently
     * @param  Condition  $given  answers under which the question says something of this unit
     */
    private function __construct(
        public string $key,
        public array $choices,
        public string $default,
        public ?string $answer,
        private array $map,
        private Condition $given,
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
            $map,
            Condition::read($node, 'given'),
        );
    }

    /**
     * @param  array<string, string>  $answers
     * @return ?string the choice that the answers make, which this unit may not have; null where they say nothing of it
     */
    public function chosenBy(array $answers): ?string
    {
        $given = $this->answer === null ? null : $answers[$this->answer] ?? null;
        if ($given === null || ! $this->given->holds($answers)) {
            return null;
        }

        return $this->map === [] ? $given : $this->map[$given] ?? null;
    }
}
