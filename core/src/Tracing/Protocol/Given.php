<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Protocol;

use Unionbit\Core\Tracing\Refusal;

/** A part of a request, with where it stands. What cannot be used is refused by place, value and what is allowed. */
final readonly class Given
{
    public function __construct(public mixed $value, public string $pointer = '')
    {
    }

    public function has(string $key): bool
    {
        return is_array($this->value) && isset($this->value[$key]);
    }

    public function at(string|int $key): self
    {
        return new self(is_array($this->value) ? $this->value[$key] ?? null : null, "{$this->pointer}/{$key}");
    }

    /** @return list<self> */
    public function each(string $key): array
    {
        $at = $this->at($key);
        if ($at->value === null) {
            return [];
        }
        if (! is_array($at->value) || ! array_is_list($at->value)) {
            throw new Refusal($at->pointer, $at->value, ['a list']);
        }

        return array_map(static fn (int $n): self => $at->at($n), array_keys($at->value));
    }

    /** @return array<string, self> */
    public function entries(string $key): array
    {
        $at = $this->at($key);
        if ($at->value === null) {
            return [];
        }
        if (! is_array($at->value) || ($at->value !== [] && array_is_list($at->value))) {
            throw new Refusal($at->pointer, $at->value, ['an object']);
        }
        $entries = [];
        foreach (array_keys($at->value) as $name) {
            $entries[(string) $name] = $at->at($name);
        }

        return $entries;
    }

    /** @param  list<string>  $allowed */
    public function oneOf(array $allowed): string
    {
        return is_string($this->value) && in_array($this->value, $allowed, true)
            ? $this->value
            : throw new Refusal($this->pointer, $this->value, $allowed);
    }

    public function text(): string
    {
        return is_string($this->value) ? $this->value : throw new Refusal($this->pointer, $this->value, ['a text']);
    }

    public function number(): float
    {
        return is_int($this->value) || is_float($this->value)
            ? (float) $this->value
            : throw new Refusal($this->pointer, $this->value, ['a number']);
    }

    public function bool(): bool
    {
        return is_bool($this->value)
            ? $this->value
            : throw new Refusal($this->pointer, $this->value, ['true', 'false']);
    }

    /** @param  list<string>  $keys */
    public function onlyHas(array $keys): void
    {
        if (! is_array($this->value) || ($this->value !== [] && array_is_list($this->value))) {
            throw new Refusal($this->pointer, $this->value, ['an object']);
        }
        foreach (array_keys($this->value) as $key) {
            if (! in_array($key, $keys, true)) {
                throw new Refusal("{$this->pointer}/{$key}", $this->value[$key], $keys);
            }
        }
    }
}
