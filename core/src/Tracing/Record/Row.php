<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Data\Copies;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Tracing\Test\Result;

/** One row of a trace, in order: what was done and what was seen. It keeps its number; withdrawn, it says nothing. */
final readonly class Row
{
    use Copies;

    /**
     * @param  ToldWhen  $when  of a told row
     * @param  ?float  $good  ohms of a good part of the same kind, read beside it
     */
    private function __construct(
        public int $number,
        public RowKind $kind,
        public ?Hands $setup = null,
        public ?Probe $probe = null,
        public ?Result $result = null,
        public ?Event $event = null,
        public ToldWhen $when = ToldWhen::Now,
        public bool $withdrawn = false,
        public float $minutes = 0.0,
        public ?float $good = null,
    ) {
    }

    public static function told(Hands $setup, Result $result, ToldWhen $when): self
    {
        $probe = Probe::see(array_map(strval(...), array_keys($result->sees)));

        return new self(0, RowKind::Told, $setup, $probe, $result, when: $when);
    }

    public static function test(
        int $number,
        RowKind $kind,
        Hands $setup,
        Probe $probe,
        Result $result,
        float $minutes,
    ): self {
        return new self($number, $kind, $setup, $probe, $result, minutes: $minutes);
    }

    public static function event(int $number, Event $event, float $minutes): self
    {
        return new self($number, RowKind::Event, event: $event, minutes: $minutes);
    }

    public function withdraw(): self
    {
        return $this->copy(['withdrawn' => true]);
    }

    /** The same for two of which every world says the same. */
    public function key(): string
    {
        return md5(serialize([$this->setup?->key(), $this->probe?->key(), $this->result, $this->good]));
    }

    public function beside(?float $good): self
    {
        return $good === null ? $this : $this->copy(['good' => $good]);
    }
}
