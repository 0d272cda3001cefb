<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\Look;
use Unionbit\Core\Words\Message;

/** Something to see or hear when the call works. */
final readonly class Sign
{
    /** What pulled in falls out when the call ends: asked after it. */
    public const DROP_OFF = 'drop-off';

    /**
     * @param  string  $sense  eye or ear
     * @param  list<string>  $watches  observables by which it is answered; its own key where none is named
     * @param  bool  $still  answered yes where none of them runs
     */
    public function __construct(
        public string $key,
        public Message $text,
        public string $sense,
        public ?string $load,
        public bool $optional = false,
        public array $watches = [],
        public bool $still = false,
    ) {
    }

    /**
     * What a person would answer.
     *
     * @param  array<string, bool>  $runs  what is seen and heard then
     */
    public function answered(array $runs, ?Fault $fault): bool
    {
        $look = Look::tryFrom($this->key);
        if ($look !== null) {
            return ! in_array($look, $fault->looks ?? [], true);
        }
        $any = array_any($this->watched(), static fn (string $name): bool => $runs[$name] ?? false);

        return $this->still ? ! $any : $any;
    }

    /** @return list<string> observables by which it is answered */
    public function watched(): array
    {
        return $this->watches === [] ? [$this->key] : $this->watches;
    }
}
