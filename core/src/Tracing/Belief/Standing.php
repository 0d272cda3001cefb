<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Tracing\Suspect\Suspect;

/** One suspect with one state of the fuses, and its share of all that may be. */
final readonly class Standing
{
    /**
     * @param  list<Fault>  $left  what is left of it after repairs
     * @param  string  $repair  id of the repair that ends it
     */
    public function __construct(
        public Suspect $suspect,
        public array $left,
        public OpenFuses $open,
        public float $share,
        public string $id,
        public string $repair,
        public string $world,
    ) {
    }
}
