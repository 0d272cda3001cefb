<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Test;

use Unionbit\Core\Circuit\Meter\MeterMode;

/** What is put to the house in a set-up: a meter on two points, eyes and ears on some signs, a look at a part. */
final readonly class Probe
{
    /** @param  list<string>  $see  keys of what is seen or heard */
    private function __construct(
        public ?MeterMode $mode,
        public string $from,
        public string $to,
        public array $see,
        public string $inspect,
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

    public function key(): string
    {
        return match (true) {
            $this->mode !== null => "{$this->mode->value}:{$this->from}~{$this->to}",
            $this->inspect !== '' => "look:{$this->inspect}",
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
            default => ['see' => $this->see],
        };
    }
}
