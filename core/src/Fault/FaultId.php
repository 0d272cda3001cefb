<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

/** Which fault of a house: an entry of the catalogue, what it befalls, and how bad or where on it, if not as usual. */
final readonly class FaultId
{
    public function __construct(public string $entry, public string $part = '', public string $severity = '')
    {
    }

    /** "loose-screw:A3.near.joint@60", as it is kept and sent. */
    public static function read(string $text): self
    {
        [$base, $severity] = [...explode('@', $text, 2), ''];
        [$entry, $part] = [...explode(':', $base, 2), ''];

        return new self($entry, $part, $severity);
    }

    /** @return list<self> of several faults at once, "gas-cock-closed+fuse-blown:T1.fuse" */
    public static function each(string $text): array
    {
        return array_map(self::read(...), array_values(array_filter(explode('+', $text))));
    }

    public function text(): string
    {
        return $this->base().($this->severity === '' ? '' : "@{$this->severity}");
    }

    /** Without severity or position: the fault that it is one form of. */
    public function base(): string
    {
        return $this->entry.($this->part === '' ? '' : ":{$this->part}");
    }
}
