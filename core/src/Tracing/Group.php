<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

/** All suspects that one repair ends. */
final readonly class Group
{
    /** @param  list<string>  $ids  of suspects, most first */
    public function __construct(public string $id, public array $ids, public float $share)
    {
    }
}
