<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Identify;

/** What the readings of a routine prove. */
final readonly class Identified
{
    /**
     * @param  array<string, string>  $pairs  far end by near end, of those that can be no others
     * @param  list<string>  $whole  near ends of these that answered at least once
     * @param  list<string>  $silent  near ends of these that never had to answer: read them once, twisted to another
     * @param  list<string>  $broken  near ends that did not answer although twisted; their far ends are not known
     * @param  list<string>  $open  near ends that could still be more than one
     * @param  bool  $contradicts  no way to join the ends gives these readings: read again
     */
    public function __construct(
        public array $pairs,
        public array $whole,
        public array $silent,
        public array $broken,
        public array $open,
        public bool $contradicts = false,
    ) {
    }
}
