<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Test;

use Unionbit\Core\Asked\Show\Showing;

/** What came of a test: a number, a beep, signs, what a look found, or why it could not be done. */
final readonly class Result
{
    /** The house has no such call. */
    public const NO_CALL = 'no such call';

    /** Why a test could not be done. */
    public const CANNOT = ['no access', 'no such point', self::NO_CALL, 'not possible here'];

    /**
     * @param  ?float  $low  the reading; null where none was taken, or where it is over the limit
     * @param  ?float  $high  the same, or the other end of a needle that will not stand still
     * @param  array<string, string>  $sees  answers by key
     * @param  array<string, string>  $fuses  "opened" in this test or "open" before it, by transformer
     */
    public function __construct(
        public ?float $low = null,
        public ?float $high = null,
        public bool $over = false,
        public ?bool $beeps = null,
        public array $sees = [],
        public string $found = '',
        public string $note = '',
        public array $fuses = [],
        public ?Moment $when = null,
        public string $cannot = '',
    ) {
    }

    public static function number(float $value): self
    {
        return new self($value, $value);
    }

    public static function overLimit(): self
    {
        return new self(over: true);
    }

    /** @param  array<string, string>  $answers */
    public static function saw(array $answers): self
    {
        return new self(sees: $answers);
    }

    /** The likeliest result of what a house would show. */
    public static function ofShowing(Showing $shows): self
    {
        return match (true) {
            $shows->answers !== [] => self::saw($shows->likeliest()),
            $shows->finds !== null => new self(found: $shows->finds),
            $shows->beeps !== null => new self(beeps: $shows->beeps > 0.5),
            $shows->over => self::overLimit(),
            default => new self(round((float) $shows->low, 2), round((float) $shows->high, 2)),
        };
    }

    public function hasReading(): bool
    {
        return $this->low !== null || $this->over || $this->beeps !== null;
    }

    /** A needle that will not stand still. */
    public function wavers(): bool
    {
        return $this->low !== null && $this->high !== null && $this->high - $this->low > 0.1;
    }

    /** @return array<string, mixed> as the protocol has it, for the mode in which it was read */
    public function toArray(string $unit = 'volts'): array
    {
        $reading = match (true) {
            $this->over => 'OL',
            $this->wavers() => ['low' => $this->low, 'high' => $this->high],
            default => $this->low,
        };

        return array_filter(
            [
                $unit => $reading,
                'beeps' => $this->beeps,
                'sees' => $this->sees,
                'found' => $this->found,
                'note' => $this->note,
                'fuses' => $this->fuses,
                'when' => $this->when?->value,
                'cannot' => $this->cannot,
            ],
            static fn (mixed $v): bool => $v !== null && $v !== [] && $v !== '',
        );
    }
}
