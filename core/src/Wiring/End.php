<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Words\Message;

/**
 * One end of a conductor: landed on a terminal (as printed there), under a connector with another conductor's end at
 * the same place ("B2"), or free in one of the ways that a free end can be left.
 */
final readonly class End
{
    private function __construct(public EndState $state, public ?string $terminal, public ?string $onto = null)
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

    /** @param  string  $onto  cable and number of the conductor that goes on from here, "B2" */
    public static function spliced(string $onto): self
    {
        return new self(EndState::Spliced, null, $onto);
    }

    public function isFree(): bool
    {
        return $this->terminal === null && $this->onto === null;
    }

    public function isLanded(): bool
    {
        return $this->state === EndState::Landed;
    }

    /** The same for two ends that are the same. */
    public function key(): string
    {
        return $this->terminal ?? ($this->onto ?? $this->state->value);
    }

    /** The printed terminal, or the word for the free end. */
    public function label(): Message
    {
        return match (true) {
            $this->terminal !== null => Message::raw($this->terminal),
            $this->onto !== null => Message::of('wiring.end.spliced', onto: $this->onto),
            default => Message::term($this->state),
        };
    }

    /** @return array{state: string, terminal: ?string, onto?: string} */
    public function toArray(): array
    {
        return [
            'state' => $this->state->value,
            'terminal' => $this->terminal,
            ...$this->onto === null ? [] : ['onto' => $this->onto],
        ];
    }
}
