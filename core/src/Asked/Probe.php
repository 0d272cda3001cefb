<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Look;
use Unionbit\Core\Point\At;

/** What is put to the house in a set-up: a meter on two points, eyes and ears on some signs, a look at a part. */
final readonly class Probe
{
    /** What a round of looks, or an ear for several at once, comes to: as it should be, or something else. */
    public const OTHERWISE = 'otherwise';

    /**
     * @param  list<string>  $see  keys of what is seen or heard
     * @param  string  $inspect  id of the repair that a look is for
     * @param  ?Look  $look  one of a round, over every part of its kind
     * @param  bool  $together  whether any of them runs, not which
     */
    private function __construct(
        public ?MeterMode $mode,
        public ?At $from = null,
        public ?At $to = null,
        public array $see = [],
        public string $inspect = '',
        public ?Look $look = null,
        public bool $together = false,
    ) {
    }

    public static function meter(MeterMode $mode, At $from, At $to): self
    {
        return new self($mode, $from, $to);
    }

    /** The clamp round what ends at a point. */
    public static function clamp(At $round): self
    {
        return new self(MeterMode::Amps, $round, $round);
    }

    /** @param  list<string>  $keys */
    public static function see(array $keys): self
    {
        return new self(null, see: $keys);
    }

    public static function inspect(string $target): self
    {
        return new self(null, inspect: $target);
    }

    /** One look of a round: every screw tugged, every fuse read. */
    public static function round(Look $look): self
    {
        return new self(null, look: $look);
    }

    /**
     * Whether any of several runs, where nobody said which.
     *
     * @param  list<string>  $keys
     */
    public static function anyOf(array $keys): self
    {
        return new self(null, see: $keys, together: true);
    }

    /** @return list<At> where it is put */
    public function points(): array
    {
        return array_values(array_filter([$this->from, $this->to]));
    }

    public function key(): string
    {
        return match (true) {
            $this->mode !== null => $this->mode->value.':'.implode('~', At::ids(...$this->points())),
            $this->inspect !== '' => "look:{$this->inspect}",
            $this->look !== null => "round:{$this->look->value}",
            $this->together => 'any:'.implode(',', $this->see),
            default => 'see:'.implode(',', $this->see),
        };
    }

    /** @return array<string, mixed> as the protocol has it */
    public function toArray(): array
    {
        return match (true) {
            $this->mode === MeterMode::Amps => ['mode' => 'A', 'from' => $this->from?->id],
            $this->mode !== null => [
                'mode' => $this->mode->value,
                'from' => $this->from?->id,
                'to' => $this->to?->id,
            ],
            $this->inspect !== '' => ['inspect' => $this->inspect],
            $this->look !== null => ['round' => $this->look->value],
            $this->together => ['any' => $this->see],
            default => ['see' => $this->see],
        };
    }
}
