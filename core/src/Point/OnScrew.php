<?php

declare(strict_types=1);

namespace Unionbit\Core\Point;

/** An end of a conductor, or a lead, and the screw that it is on: "A3.near>indoor.Y". */
final readonly class OnScrew
{
    public function __construct(public string $end, public string $screw)
    {
    }

    public static function read(string $text): self
    {
        [$end, $screw] = [...explode('>', $text, 2), ''];

        return new self($end, $screw);
    }

    public function text(): string
    {
        return "{$this->end}>{$this->screw}";
    }
}
