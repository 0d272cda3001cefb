<?php

declare(strict_types=1);

namespace Unionbit\Core\Point;

/** A question or figure by its key, of one supply or unit where several have it: "lineVolts", "lineVolts@T2". */
final readonly class OfPart
{
    public function __construct(public string $key, public ?string $part = null)
    {
    }

    public static function read(string $text): self
    {
        $pieces = explode('@', $text, 2);

        return new self($pieces[0], $pieces[1] ?? null);
    }

    public function text(): string
    {
        return $this->part === null ? $this->key : "{$this->key}@{$this->part}";
    }
}
