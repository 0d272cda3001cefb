<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;

/** Values that facts, options or answers must have: each named one is among its list. */
final readonly class Condition
{
    /** @param  array<string, list<string>>  $wanted */
    private function __construct(private array $wanted)
    {
    }

    /** The condition that a whole entry is, but for one of its keys. */
    public static function of(Field $entry, string $except): self
    {
        $wanted = [];
        foreach ($entry->names() as $name) {
            if ($name !== $except) {
                $wanted[$name] = $entry->strings($name);
            }
        }

        return new self($wanted);
    }

    /** The condition under a key; without one it always holds. */
    public static function read(Field $node, string $key): self
    {
        $wanted = [];
        foreach ($node->keys($key) as $name) {
            $wanted[$name] = $node->at($key)->strings($name);
        }

        return new self($wanted);
    }

    /**
     * What may stand where this holds as well.
     *
     * @param  array<string, list<string>>  $allowed  values by name; any where a name is missing
     * @return ?array<string, list<string>> null where both cannot hold at once
     */
    public function within(array $allowed): ?array
    {
        foreach ($this->wanted as $name => $wanted) {
            $allowed[$name] = array_values(array_intersect($allowed[$name] ?? $wanted, $wanted));
            if ($allowed[$name] === []) {
                return null;
            }
        }

        return $allowed;
    }

    public function isEmpty(): bool
    {
        return $this->wanted === [];
    }

    /** @param  array<string, string>  $values  one that is missing counts as an empty text */
    public function holds(array $values): bool
    {
        foreach ($this->wanted as $name => $allowed) {
            if (! in_array($values[$name] ?? '', $allowed, true)) {
                return false;
            }
        }

        return true;
    }
}
