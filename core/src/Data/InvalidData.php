<?php

declare(strict_types=1);

namespace Unionbit\Core\Data;

/** Data handed to the core that it cannot use: names the place (JSON pointer), the value and what is allowed. */
final class InvalidData extends \InvalidArgumentException
{
    private function __construct(public readonly string $pointer, string $message)
    {
        parent::__construct($pointer.': '.$message);
    }

    public static function missing(string $pointer, string $allowed): self
    {
        return new self($pointer, "is missing; allowed: {$allowed}");
    }

    /** A document that is no JSON at all, or a reference to something that is not there. */
    public static function unreadable(string $pointer, string $why): self
    {
        return new self($pointer, $why);
    }

    public static function notAllowed(string $pointer, mixed $value, string $allowed): self
    {
        $shown = json_encode($value);

        return new self(
            $pointer,
            'is '.($shown === false ? get_debug_type($value) : $shown)."; allowed: {$allowed}",
        );
    }
}
