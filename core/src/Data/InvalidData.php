<?php

declare(strict_types=1);

namespace Unionbit\Core\Data;

use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/** Data handed to the core that it cannot use: names the place (JSON pointer), the value and what is allowed. */
final class InvalidData extends \InvalidArgumentException
{
    private function __construct(public readonly string $pointer, public readonly Message $problem)
    {
        parent::__construct("{$pointer}: {$problem->code}");
    }

    public static function missing(string $pointer, string|Message $allowed): self
    {
        return new self($pointer, Message::of('data.missing', allowed: $allowed));
    }

    /** A document that is no JSON at all, or a reference to something that is not there. */
    public static function unreadable(string $pointer, Message $why): self
    {
        return new self($pointer, $why);
    }

    /** @param  string|Message  $allowed  symbols apart by commas, or what there is to say of them */
    public static function notAllowed(string $pointer, mixed $value, string|Message $allowed): self
    {
        $shown = $value instanceof Quantity ? $value : json_encode($value);

        return new self(
            $pointer,
            Message::of(
                'data.not-allowed',
                value: $shown === false ? get_debug_type($value) : $shown,
                allowed: $allowed,
            ),
        );
    }
}
