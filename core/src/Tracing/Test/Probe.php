<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Test;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Look;

/** What is put to the house in a set-up: a meter on two points, eyes and ears on some signs, a look at a part. */
final readonly class Probe
{
    /** What a round of looks, or an ear for several at once, comes to: as it should be, or something else. */
    public const OTHERWISE = 'otherwise';

    /**
     * @param  list<string>  $see  keys of what is seen or heard
     * @param  ?Look  $look  one of a round, over every part of its kind
     * @param  bool  $together  whether any of them runs, not which
     */
    private function __construct(
        public ?MeterMode $mode,
        public string $from,
        public string $to,
        public array $see,
        public string $inspect,
        public ?Look $look = null,
        public bool $together = false,
    ) {
    }

    public static function meter(MeterMode $mode, string $from, string $to = ''): self
    {
        return new self($mode, $from, $mode === MeterMode::Amps ? $from : $to, [], '');
    }

    /** @param  list<string>  $keys */
    public static function see(array $keys): self
    {
        return new self(null, '', '', $keys, '');
    }

    public static function inspect(string $target): self
    {
        return new self(null, '', '', [], $target);
    }

    /** One look of a round: every screw tugged, every fuse read. */
    public static function round(Look $look): self
    {
        return new self(null, '', '', [], '', $look);
    }

    /**
     * Whether any of several runs, where nobody said which.
     *
     * @param  list<string>  $keys
     */
    public static function anyOf(array $keys): self
    {
        return new self(null, '', '', $keys, '', together: true);
    }

    public function key(): string
    {
        return match (true) {
            $this->mode !== null => "{$this->mode->value}:{$this->from}~{$this->to}",
            $this->inspect !== '' => "look:{$this->inspect}",
            $this->look !== null => "round:{$this->look->value}",
            $this->together => 'any:'.implode(',', $this->see),
            default => 'see:'.implode(',', $this->see),
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return match (true) {
            $this->mode === MeterMode::Amps => ['mode' => 'A', 'from' => $this->from],
            $this->mode !== null => ['mode' => $this->mode->value, 'from' => $this->from, 'to' => $this->to],
            $this->inspect !== '' => ['inspect' => $this->inspect],
            $this->look !== null => ['round' => $this->look->value],
            $this->together => ['any' => $this->see],
            default => ['see' => $this->see],
        };
    }
}
