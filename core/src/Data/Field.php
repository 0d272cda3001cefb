<?php

declare(strict_types=1);

namespace Unionbit\Core\Data;

use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * A typed look into decoded JSON that remembers where it is, so that whatever is wrong is reported with its
 * JSON pointer, its value and what is allowed.
 */
final readonly class Field
{
    /** Entries of a list or an object, and characters of a text, where a reader does not say otherwise. */
    private const MOST = 100;

    private const LONGEST = 20_000;

    private function __construct(private mixed $value, public string $pointer)
    {
    }

    /** @param  string  $pointer where the value stands in the whole document */
    public static function root(mixed $value, string $pointer = ''): self
    {
        return new self($value, $pointer);
    }

    public function has(string $key): bool
    {
        return is_array($this->value) && array_key_exists($key, $this->value) && $this->value[$key] !== null;
    }

    public function at(string|int $key): self
    {
        if (! is_array($this->value) || ! array_key_exists($key, $this->value)) {
            throw InvalidData::missing("{$this->pointer}/{$key}", Message::of('data.field.value'));
        }

        return new self($this->value[$key], "{$this->pointer}/{$key}");
    }

    /** The decoded value as it is, for a reader of its own. */
    public function value(string $key): mixed
    {
        return $this->at($key)->value;
    }

    /** @param  int  $most  characters */
    public function string(string $key, ?string $default = null, int $most = self::LONGEST): string
    {
        if ($default !== null && ! $this->has($key)) {
            return $default;
        }
        $value = $this->at($key)->value;
        if (is_string($value) && mb_strlen($value) > $most) {
            throw InvalidData::unreadable(
                "{$this->pointer}/{$key}",
                Message::of('data.field.characters-long-allowed-at-most', value: mb_strlen($value), most: $most),
            );
        }

        return is_string($value)
            ? $value
            : throw InvalidData::notAllowed("{$this->pointer}/{$key}", $value, Message::of('data.field.text'));
    }

    /**
     * A name, a note: a text of one line.
     *
     * @param  int  $most  characters
     */
    public function line(string $key, ?string $default = null, int $most = self::LONGEST): string
    {
        $text = $this->string($key, $default, $most);

        return Plain::isLine($text)
            ? $text
            : throw InvalidData::unreadable("{$this->pointer}/{$key}", Message::of('data.field.one-line'));
    }

    /** @param  Unit  $unit  that the bounds are said in where the number is none of those allowed */
    public function number(
        string $key,
        ?float $default = null,
        float $min = -INF,
        float $max = INF,
        Unit $unit = Unit::Number,
    ): float {
        if ($default !== null && ! $this->has($key)) {
            return $default;
        }
        $value = $this->at($key)->value;
        if (
            (! is_int($value) && ! is_float($value)) ||
            ! is_finite((float) $value) ||
            $value < $min ||
            $value > $max
        ) {
            throw InvalidData::notAllowed(
                "{$this->pointer}/{$key}",
                $unit !== Unit::Number && is_numeric($value) ? Quantity::of((float) $value, $unit) : $value,
                is_finite($min) || is_finite($max)
                    ? Message::of(
                        'data.field.number-from',
                        min: Quantity::of($min, $unit),
                        max: Quantity::of($max, $unit),
                    )
                    : Message::of('data.field.number'),
            );
        }

        return (float) $value;
    }

    public function int(string $key, ?int $default = null): int
    {
        $value = $this->number($key, $default === null ? null : (float) $default);

        return $value === floor($value)
            ? (int) $value
            : throw InvalidData::notAllowed(
                "{$this->pointer}/{$key}",
                $value,
                Message::of('data.field.whole-number'),
            );
    }

    public function bool(string $key, ?bool $default = null): bool
    {
        if ($default !== null && ! $this->has($key)) {
            return $default;
        }
        $value = $this->at($key)->value;

        return is_bool($value)
            ? $value
            : throw InvalidData::notAllowed(
                "{$this->pointer}/{$key}",
                $value,
                Message::of('data.field.true-or-false'),
            );
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function enum(string $key, string $enum): \BackedEnum
    {
        $value = $this->string($key);

        return $enum::tryFrom($value) ??
            throw InvalidData::notAllowed(
                "{$this->pointer}/{$key}",
                $value,
                implode(
                    ', ',
                    array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()),
                ),
            );
    }

    /**
     * @param  int  $most  entries
     * @return list<self> the entries of a list; an absent list is empty
     */
    public function each(string $key, int $most = self::MOST): array
    {
        if (! $this->has($key)) {
            return [];
        }
        $list = $this->at($key);
        if (! is_array($list->value)) {
            throw InvalidData::notAllowed($list->pointer, $list->value, Message::of('data.field.list'));
        }
        if (count($list->value) > $most) {
            throw InvalidData::unreadable(
                $list->pointer,
                Message::of('data.field.has-entries-allowed-at-most', count: count($list->value), most: $most),
            );
        }

        return array_map(static fn (int|string $index): self => $list->at($index), array_keys($list->value));
    }

    /** @return list<string> */
    public function strings(string $key): array
    {
        return array_map(
            static fn (self $entry): string => is_string($entry->value)
                ? $entry->value
                : throw InvalidData::notAllowed($entry->pointer, $entry->value, Message::of('data.field.text')),
            $this->each($key),
        );
    }

    /** @return list<string> the names in this object itself */
    public function names(): array
    {
        return is_array($this->value)
            ? array_map(strval(...), array_keys($this->value))
            : throw InvalidData::notAllowed($this->pointer, $this->value, Message::of('data.field.object'));
    }

    /** @return list<string> the names in an object; an absent object has none */
    public function keys(string $key): array
    {
        if (! $this->has($key)) {
            return [];
        }
        $object = $this->at($key);
        if (is_array($object->value) && count($object->value) > self::MOST) {
            throw InvalidData::unreadable(
                $object->pointer,
                Message::of(
                    'data.field.has-entries-allowed-at-most',
                    count: count($object->value),
                    most: self::MOST,
                ),
            );
        }

        return is_array($object->value)
            ? array_map(strval(...), array_keys($object->value))
            : throw InvalidData::notAllowed($object->pointer, $object->value, Message::of('data.field.object'));
    }
}
