<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

use Unionbit\Core\Words\Message;

/** One thing to do when the conductors are landed, with its reason. */
final readonly class Move
{
    /** @param  string  $key  stable, so that a tick stays with its move */
    public function __construct(
        public string $key,
        public Message $text,
        public Message $why,
        public ?string $conductor,
    ) {
    }

    /** @return array{key: string, text: Message, why: Message, conductor: ?string} */
    public function toArray(): array
    {
        return ['key' => $this->key, 'text' => $this->text, 'why' => $this->why, 'conductor' => $this->conductor];
    }
}
