<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Closure;
use Unionbit\Core\Data\Copies;
use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\OfPart;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** One question of the survey: how it is answered, and in which houses it is asked at all. */
final readonly class Question
{
    use Copies;

    public const TEXT_LIMIT = 500;

    /**
     * @param  string  $kind  choice, number, ticks or text
     * @param  array<int|string, Message>  $choices  words by value, for a choice or ticks
     * @param  ?Closure(Installation): bool  $asks  whether this house needs it; null where every house does
     */
    private function __construct(
        public string $key,
        public Message $section,
        public Message $text,
        public Message $help,
        public string $kind,
        public array $choices = [],
        public Unit $unit = Unit::Number,
        public float $min = 0.0,
        public float $max = 0.0,
        private ?Closure $asks = null,
    ) {
    }

    /**
     * @param  array<int|string, Message>  $choices
     * @param  ?Closure(Installation): bool  $asks
     */
    public static function choice(
        string $key,
        Message $section,
        Message $text,
        Message $help,
        array $choices,
        ?Closure $asks = null,
    ): self {
        return new self($key, $section, $text, $help, kind: 'choice', choices: $choices, asks: $asks);
    }

    /**
     * @param  array<int|string, Message>  $choices
     * @param  ?Closure(Installation): bool  $asks
     */
    public static function ticks(
        string $key,
        Message $section,
        Message $text,
        Message $help,
        array $choices,
        ?Closure $asks = null,
    ): self {
        return new self($key, $section, $text, $help, kind: 'ticks', choices: $choices, asks: $asks);
    }

    /** @param  ?Closure(Installation): bool  $asks */
    public static function number(
        string $key,
        Message $section,
        Message $text,
        Message $help,
        Unit $unit,
        float $min,
        float $max,
        ?Closure $asks = null,
    ): self {
        return new self(
            $key,
            $section,
            $text,
            $help,
            kind: 'number',
            unit: $unit,
            min: $min,
            max: $max,
            asks: $asks,
        );
    }

    /** @param  ?Closure(Installation): bool  $asks */
    public static function text(
        string $key,
        Message $section,
        Message $text,
        Message $help,
        ?Closure $asks = null,
    ): self {
        return new self($key, $section, $text, $help, kind: 'text', asks: $asks);
    }

    /**
     * The same question of one part of the house where several are asked it: a supply, a unit. Its key is
     * "lineVolts@T2", "motor@furnace".
     *
     * @param  ?Message  $called  what that part is called there
     */
    public function of(string $part, ?Message $called = null): self
    {
        $key = (new OfPart($this->key, $part))->text();

        return $this->copy([
            'key' => $key,
            'text' => Message::of('job.question.of-part', question: $this->text, part: $called ?? $part),
            'asks' => static fn (Installation $h): bool => $h->archetype->isAskedFor($key),
        ]);
    }

    /**
     * The number that answers it, out of an object that has it under its own key.
     *
     * @throws InvalidData
     */
    public function asNumber(Field $node): float
    {
        return $node->number($this->key, null, $this->min, $this->max, $this->unit);
    }

    public function isAskedOf(Installation $house): bool
    {
        return $this->asks === null || ($this->asks)($house);
    }

    /**
     * The answer out of an object of answers.
     *
     * @return string|float|list<string>
     *
     * @throws InvalidData
     */
    public function read(Field $answers): string|float|array
    {
        $at = "{$answers->pointer}/{$this->key}";
        if ($this->kind === 'number') {
            return $this->asNumber($answers);
        }
        if ($this->kind === 'ticks') {
            foreach ($ticks = $answers->strings($this->key) as $tick) {
                isset($this->choices[$tick]) ||
                    throw InvalidData::notAllowed($at, $tick, implode(', ', array_keys($this->choices)));
            }

            return array_values(array_unique($ticks));
        }
        $value = $answers->string($this->key);
        if ($this->kind === 'choice') {
            return isset($this->choices[$value])
                ? $value
                : throw InvalidData::notAllowed($at, $value, implode(', ', array_keys($this->choices)));
        }

        return mb_strlen($value) <= self::TEXT_LIMIT
            ? $value
            : throw InvalidData::unreadable(
                $at,
                Message::of(
                    'job.question.characters-long-allowed-at-most',
                    value: mb_strlen($value),
                    text_limit: self::TEXT_LIMIT,
                ),
            );
    }

    /** @param  string|float|list<string>|null  $value */
    public function said(string|float|array|null $value): ?Message
    {
        return match (true) {
            $value === null => null,
            $value === [] => Message::of('job.question.none-of-these'),
            is_array($value) => Message::of('job.question.these', all: array_map($this->word(...), $value)),
            is_float($value) => Message::of('job.question.number', value: Quantity::of($value, $this->unit)),
            default => $this->word($value),
        };
    }

    private function word(string $value): Message
    {
        return $this->choices[$value] ?? Message::raw($value);
    }
}
