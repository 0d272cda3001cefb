<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Paper;

use Unionbit\Core\Equipment\Load;

/** One load of a call with its way out and its way back. */
final readonly class CallPath
{
    /**
     * @param  string  $supply  id of the transformer that feeds it
     * @param  float  $amps  through the load
     * @param  list<PathStep>  $out  from the transformer's hot side to the load
     * @param  list<PathStep>  $back  from the load to the transformer's common side
     */
    public function __construct(
        public Load $load,
        public string $supply,
        public float $amps,
        public array $out,
        public array $back,
    ) {
    }
}
