<?php

declare(strict_types=1);

namespace Unionbit\Core\Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Picks the same again for the same seed. */
final class Pick
{
    private Randomizer $random;

    public function __construct(string $seed)
    {
        $this->random = new Randomizer(new Mt19937(crc32($seed)));
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
