<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

use Unionbit\Core\Words\Message;

/**
 * What a letter on a plate or board means: as it is printed, and the canonical name where the context tells it.
 * A letter nobody knows is kept as written, with no name, and flagged by the rules.
 */
final readonly class Terminal
{
    private function __construct(
        public string $printed,
        public ?TerminalName $name,
        public bool $ambiguous,
        public ?Message $note,
    ) {
    }

    public static function known(string $printed, TerminalName $name): self
    {
        return new self($printed, $name, false, null);
    }

    /** A letter that means more than one thing until it is proved at the equipment end (SC13). */
    public static function ambiguous(string $printed, ?TerminalName $likely, Message $note): self
    {
        return new self($printed, $likely, true, $note);
    }

    public static function asWritten(string $printed): self
    {
        return new self(
            $printed,
            null,
            true,
            Message::of('terminal.terminal.letter-in-no-vocabulary-kept', printed: $printed),
        );
    }
}
