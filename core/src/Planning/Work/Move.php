<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

/** One thing to do when the conductors are landed, with its reason. */
final readonly class Move
{
    /** @param  string  $key stable, so that a tick stays with its move */
    public function __construct(
        public string $key,
        public string $text,
        public string $why,
        public ?string $conductor,
    ) {
    }

    /** @return array<string, ?string> */
    public function toArray(): array
    {
        return ['key' => $this->key, 'text' => $this->text, 'why' => $this->why, 'conductor' => $this->conductor];
    }
}
