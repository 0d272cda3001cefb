<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

/** A request that a trace cannot use: where it is wrong, what stands there, and what may stand there. */
final class Refusal extends \InvalidArgumentException
{
    /** @param  list<string>  $allowed */
    public function __construct(
        public readonly string $pointer,
        public readonly mixed $is,
        public readonly array $allowed,
    ) {
        parent::__construct($pointer);
    }
}
