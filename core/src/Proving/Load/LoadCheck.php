<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Load;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Judge\Outcome;
use Unionbit\Core\Proving\Judge\Verdict;

/** What the supply must bear in one call: volts and the fall from rest, amperes by clamp, and what each load adds. */
final readonly class LoadCheck
{
    /**
     * @param  array{low: float, nominal: float, high: float}  $volts  at the supply's own screws
     * @param  array{low: float, nominal: float, high: float}  $fall  volts less than at rest, within tolerance and two readings
     * @param  ?array{low: float, nominal: float, high: float}  $amps  in the hot conductor to the thermostat; null where none runs there
     * @param  list<array{load: string, amps: float}>  $adds  what each load of this call draws
     * @param  float  $va  of the transformer at its own voltage
     */
    public function __construct(
        public CallName $call,
        public string $a,
        public string $b,
        public ?string $clamp,
        public array $volts,
        public array $fall,
        public ?array $amps,
        public array $adds,
        public float $va,
        public float $rating,
    ) {
    }

    /** Two readings taken by the same person with the same meter, one at rest and one in the call. */
    public function judge(float $rest, float $loaded): Verdict
    {
        $fell = $rest - $loaded;
        $share = sprintf('%.0f VA of %.0f VA', $this->va, $this->rating);
        if ($fell > $this->fall['high']) {
            return new Verdict(
                Outcome::Fail,
                sprintf(
                    'It falls by %.1f V where %.1f V at most is expected with %s: a short, a load that is not in this survey, or an overloaded source; not a bad board.',
                    $fell,
                    $this->fall['high'],
                    $share,
                ),
            );
        }
        if ($fell < $this->fall['low']) {
            return new Verdict(
                Outcome::Fail,
                sprintf(
                    'It falls by %.1f V only, where %.1f V at least is expected with %s: a load of this call is not there.',
                    max(0.0, $fell),
                    $this->fall['low'],
                    $share,
                ),
            );
        }

        return new Verdict(
            Outcome::Pass,
            sprintf('It falls by %.1f V, %.1f V is expected: %s.', max(0.0, $fell), $this->fall['nominal'], $share),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'call' => $this->call->value,
            'label' => $this->call->label(),
            'a' => $this->a,
            'b' => $this->b,
            'clamp' => $this->clamp,
            'volts' => $this->volts,
            'fall' => $this->fall,
            'amps' => $this->amps,
            'adds' => $this->adds,
            'va' => round($this->va, 1),
            'rating' => $this->rating,
        ];
    }
}
