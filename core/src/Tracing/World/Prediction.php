<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\World;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Tracing\Test\Result;

/**
 * What a probe would show under one suspect: a band, a ghost, over the limit, or the share of each answer to a sign.
 * How likely a result is, allows for the meter's error, a probe that slipped and a sign that was misread.
 */
final readonly class Prediction
{
    /** What a look finds where nothing is wrong. */
    public const SOUND = 'sound';

    /** A probe slips, stands on oxide, or the number is misread; our working figure. */
    public const SLIP = 0.04;

    /** A sign is misread; our working figure. */
    public const MISREAD = 0.04;

    /** Part of the slips that reads nothing at all, or over the limit: a zero is cheaper to get wrong than 26 V. */
    private const NOTHING = 0.5;

    /** Part of them that reads just this other number. */
    private const SOMETHING = 0.06;

    /** Volts up to which a meter with a high input shows a ghost. */
    private const GHOST = 20.0;

    /** A ghost tells less than a number, and so does a needle that wavers. */
    private const VAGUE = 0.5;

    /**
     * @param  array<string, array<string, float>>  $answers  share of each answer, by key
     * @param  ?string  $finds  what a look finds; null where it looks at something else
     */
    private function __construct(
        public ?float $low = null,
        public ?float $high = null,
        public bool $ghost = false,
        public bool $wavers = false,
        public bool $over = false,
        public ?float $beeps = null,
        public array $answers = [],
        public ?string $finds = null,
    ) {
    }

    public static function band(float $low, float $high): self
    {
        return new self($low, $high);
    }

    /** A needle that will not stand still: the circuit goes in and out. */
    public static function wavering(float $high): self
    {
        return new self(0.0, $high, wavers: true);
    }

    public static function ghost(): self
    {
        return new self(0.0, self::GHOST, ghost: true);
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

    /** 0 to 1: how well a result fits. */
    public function likelihood(?MeterMode $mode, Result $result): float
    {
        $likelihood = $mode === null || ! $result->hasReading() ? 1.0 : $this->reading($mode, $result);
        foreach ($result->sees as $key => $answer) {
            $shares = $this->answers[$key] ?? null;
            if ($shares !== null) {
                $likelihood *= (1.0 - self::MISREAD) * ($shares[$answer] ?? 0.0) + self::MISREAD * 0.5;
            }
        }
        if ($result->found !== '' && $this->finds !== null) {
            $likelihood *= $result->found === $this->finds ? 1.0 : self::MISREAD;
        }

        return $likelihood;
    }

    private function reading(MeterMode $mode, Result $result): float
    {
        if ($mode === MeterMode::Beep && $result->beeps !== null) {
            $share = $this->beeps ?? 0.5;

            return (1.0 - self::SLIP) * ($result->beeps ? $share : 1.0 - $share) + self::SLIP * 0.5;
        }
        if ($result->over) {
            return $this->over ? 1.0 : self::SLIP * self::NOTHING;
        }
        $value = ((float) $result->low + (float) $result->high) / 2.0;
        $nothing = $mode !== MeterMode::Ohms && $mode !== MeterMode::Beep && $value < 1.0;
        $slipped = self::SLIP * ($nothing ? self::NOTHING : self::SOMETHING);
        if ($this->over || $this->low === null || $this->high === null) {
            return $slipped;
        }
        if ($result->wavers() && $this->high - $this->low < 0.5 * ((float) $result->high - (float) $result->low)) {
            return $slipped;
        }
        $off = max(0.0, $this->low - $value, $value - $this->high);
        $edge = $mode === MeterMode::Amps ? 0.03 + 0.05 * $value : 0.3 + 0.05 * $value;
        $fits = exp(-0.5 * ($off / $edge) ** 2) * ($this->ghost || $this->wavers ? self::VAGUE : 1.0);

        return (1.0 - self::SLIP) * $fits + $slipped;
    }

    /** What would be written down, for telling outcomes apart. */
    public function token(): string
    {
        if ($this->answers !== []) {
            return implode(
                ',',
                array_map(
                    static fn (string $key, array $shares): string => $key.'='.self::likeliest($shares),
                    array_map(strval(...), array_keys($this->answers)),
                    $this->answers,
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

    /** The likeliest result. */
    public function result(): Result
    {
        return match (true) {
            $this->answers !== [] => Result::saw(array_map(self::likeliest(...), $this->answers)),
            $this->finds !== null => new Result(found: $this->finds),
            $this->beeps !== null => new Result(beeps: $this->beeps > 0.5),
            $this->over => Result::overLimit(),
            default => new Result(round((float) $this->low, 2), round((float) $this->high, 2)),
        };
    }

    /** @param  array<string, float>  $shares */
    private static function likeliest(array $shares): string
    {
        arsort($shares);

        return (string) array_key_first($shares);
    }
}
