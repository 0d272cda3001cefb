<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Show;

/** What a probe would show of one house: a band, a ghost, over the limit, or the share of each answer to a sign. */
final readonly class Showing
{
    /** What a look finds where nothing is wrong. */
    public const SOUND = 'sound';

    /**
     * @param  ?float  $nominal  in the mode's unit; null where there is no one number
     * @param  array<string, array<string, float>>  $answers  share of each answer, by key
     * @param  ?string  $finds  what a look finds; null where it looks at something else
     * @param  ?float  $beeps  share of the times that the beeper sounds
     */
    private function __construct(
        public ?float $low = null,
        public ?float $high = null,
        public ?float $nominal = null,
        public bool $ghost = false,
        public bool $wavers = false,
        public bool $over = false,
        public ?float $beeps = null,
        public array $answers = [],
        public ?string $finds = null,
    ) {
    }

    public static function band(float $low, float $nominal, float $high): self
    {
        return new self($low, $high, $nominal);
    }

    /** A needle that will not stand still: the circuit goes in and out. */
    public static function wavering(float $high): self
    {
        return new self(0.0, $high, wavers: true);
    }

    /** No path to a source: a meter with a high input shows anything up to so many volts. */
    public static function ghost(float $high): self
    {
        return new self(0.0, $high, ghost: true);
    }

    public static function overLimit(): self
    {
        return new self(over: true);
    }

    /** @param  float  $share  of the times that the beeper sounds */
    public static function beeping(float $share): self
    {
        return new self(beeps: $share);
    }

    /** @param  array<string, array<string, float>>  $answers */
    public static function seeing(array $answers): self
    {
        return new self(answers: $answers);
    }

    public static function finding(string $what): self
    {
        return new self(finds: $what);
    }

    /** The same for two that would be written down alike, where it is no number. */
    public function token(): string
    {
        if ($this->answers !== []) {
            return implode(
                ',',
                array_map(
                    static fn (string $key, string $answer): string => $key.'='.$answer,
                    array_map(strval(...), array_keys($this->answers)),
                    $this->likeliest(),
                ),
            );
        }

        return match (true) {
            $this->finds !== null => $this->finds,
            $this->beeps !== null => $this->beeps > 0.5 ? 'beeps' : 'quiet',
            $this->over => 'over',
            default => '',
        };
    }

    /** @return array<string, string> the likeliest answer, by key */
    public function likeliest(): array
    {
        return array_map(static function (array $shares): string {
            arsort($shares);

            return (string) array_key_first($shares);
        }, $this->answers);
    }
}
