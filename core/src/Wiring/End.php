<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

/**
 * One end of a conductor: landed on a terminal (as printed there), or free in one of the ways that a free end
 * can be left.
 */
final readonly class End
{
    private function __construct(public EndState $state, public ?string $terminal)
    {
    }

    public static function landed(string $terminal): self
    {
        return new self(EndState::Landed, $terminal);
    }

    public static function free(EndState $state = EndState::Spare): self
    {
        return new self($state, null);
    }

    public function isLanded(): bool
    {
        return $this->state === EndState::Landed;
    }

    /** The printed terminal, or the word for the free end. */
    public function label(): string
    {
        return $this->terminal ?? $this->state->value;
    }

    /** @return array{state: string, terminal: ?string} */
    public function toArray(): array
    {
        return ['state' => $this->state->value, 'terminal' => $this->terminal];
    }
}
