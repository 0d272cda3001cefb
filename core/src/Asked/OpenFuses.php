<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

/** Which supplies have an open fuse: a small set, the same whatever order they came in. */
final readonly class OpenFuses
{
    private const JOINED = ',';

    /** @param  list<string>  $supplies  sorted, each once */
    public function __construct(public array $supplies)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    public static function of(string ...$supplies): self
    {
        $supplies = array_values(array_unique($supplies));
        sort($supplies);

        return new self($supplies);
    }

    /** From what {@see key()} gave. */
    public static function at(string $key): self
    {
        return new self($key === '' ? [] : explode(self::JOINED, $key));
    }

    /** To keep something by it. */
    public function key(): string
    {
        return implode(self::JOINED, $this->supplies);
    }

    public function has(string $supply): bool
    {
        return in_array($supply, $this->supplies, true);
    }

    public function with(string ...$supplies): self
    {
        return $supplies === [] ? $this : self::of(...$this->supplies, ...$supplies);
    }

    public function without(string ...$supplies): self
    {
        return $supplies === [] ? $this : new self(array_values(array_diff($this->supplies, $supplies)));
    }

    public function areNone(): bool
    {
        return $this->supplies === [];
    }
}
