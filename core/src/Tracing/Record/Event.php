<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Data\Copies;

/** Something done or noticed in a trace that is no test. */
final readonly class Event
{
    use Copies;

    /**
     * @param  string  $of  transformer, point, place: what the kind is of
     * @param  string  $what  a repair's id, or a fault's
     */
    public function __construct(
        public EventKind $kind,
        public string $of = '',
        public string $what = '',
        public string $part = '',
        public ?float $amps = null,
        public ?float $minutes = null,
        public string $key = '',
        public string $value = '',
        public ?bool $answered = null,
    ) {
    }

    /** The same, having ended what a repair ends. */
    public function ending(string $what): self
    {
        return $this->copy(['what' => $what]);
    }

    /** @return array<string, mixed> as the protocol has it */
    public function toArray(): array
    {
        return array_filter(
            [
                'kind' => $this->kind->value,
                $this->kind === EventKind::Moved ? 'at' : 'of' => $this->of,
                'what' => $this->what,
                'part' => $this->part,
                'amps' => $this->amps,
                'minutes' => $this->minutes,
                'key' => $this->key,
                'value' => $this->value,
                'answered' => $this->answered,
            ],
            static fn (mixed $v): bool => $v !== null && $v !== '',
        );
    }
}
