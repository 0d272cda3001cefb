<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Unionbit\Core\Tracing\Belief\Standing;
use Unionbit\Core\Words\Message;

/** One line of the list of suspects: what is the same to a person, whatever form of it. */
final readonly class Shares
{
    /**
     * @param  list<int>  $because  numbers of the rows that moved it most
     * @param  array<string, float>  $factors
     */
    public function __construct(
        public string $id,
        public Message $title,
        public float $share,
        public string $group,
        public array $because,
        public array $factors,
        public Standing $standing,
    ) {
    }
}
