<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

/** An option of a unit of this house as it is, with the question that decides it. */
final readonly class UnitOption
{
    /**
     * @param  string  $unit  title of the unit, as its file has it
     * @param  ?string  $asks  key of the question; null where nobody is asked
     * @param  bool  $each  asked of each unit that has it
     * @param  ?string  $said  the answer that makes this choice
     */
    public function __construct(
        public string $unit,
        public string $key,
        public string $choice,
        public ?string $asks,
        public bool $each,
        public ?string $said,
    ) {
    }
}
