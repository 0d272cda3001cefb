<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Tracing\Next\Candidate;
use Unionbit\Core\Tracing\Record\Event;

/** One big step of a routine: set-ups with what is read or seen in them, or something done. */
final readonly class Step
{
    /**
     * @param  list<Candidate>  $candidates
     * @param  int  $most  tests of it before the next step comes
     * @param  bool  $always  done even where it tells little by itself: what follows is measured against it
     */
    private function __construct(
        public array $candidates,
        public ?Event $event,
        public int $most,
        public bool $always,
    ) {
    }

    public static function test(Candidate $candidate, int $most = 1): self
    {
        return new self([$candidate], null, $most, false);
    }

    /** The zero of what follows. */
    public static function baseline(Candidate $candidate): self
    {
        return new self([$candidate], null, 1, true);
    }

    /** @param  list<Candidate>  $candidates */
    public static function anyOf(array $candidates, int $most): self
    {
        return new self($candidates, null, $most, false);
    }

    public static function event(Event $event): self
    {
        return new self([], $event, 1, false);
    }
}
