<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Words\Message;

/** Something to see or hear when the call works. */
final readonly class Sign
{
    /** @param  string  $sense eye or ear */
    public function __construct(
        public string $key,
        public Message $text,
        public string $sense,
        public ?string $load,
        public bool $optional = false,
    ) {
    }
}
