<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Load;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Step\Verdict;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** What the supply must bear in one call: volts and the fall from rest, amperes by clamp, and what each load adds. */
final readonly class LoadCheck
{
    /**
     * @param  array{low: float, nominal: float, high: float}  $volts  at the supply's own screws
     * @param  array{low: float, nominal: float, high: float}  $fall  volts less than at rest, within tolerance and
     *     two readings
     * @param  ?array{low: float, nominal: float, high: float}  $amps  in the hot conductor to the thermostat; null
     *     where none runs there
     * @param  list<array{load: Message, amps: float}>  $adds  what each load of this call draws
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
        $share = Message::of(
            'proving.load-check.of',
            va: Quantity::of($this->va, Unit::VoltAmps, 0),
            rating: Quantity::of($this->rating, Unit::VoltAmps, 0),
        );
        if ($fell > $this->fall['high']) {
            return new Verdict(
                Outcome::Fail,
                Message::of(
                    'proving.load-check.falls-by-where-at-most',
                    fell: Quantity::of($fell, Unit::Volts, 1),
                    high: Quantity::of($this->fall['high'], Unit::Volts, 1),
                    share: $share,
                ),
            );
        }
        if ($fell < $this->fall['low']) {
            return new Verdict(
                Outcome::Fail,
                Message::of(
                    'proving.load-check.falls-by-only-where-at',
                    value: Quantity::of(max(0.0, $fell), Unit::Volts, 1),
                    low: Quantity::of($this->fall['low'], Unit::Volts, 1),
                    share: $share,
                ),
            );
        }

        return new Verdict(
            Outcome::Pass,
            Message::of(
                'proving.load-check.falls-by-expected',
                value: Quantity::of(max(0.0, $fell), Unit::Volts, 1),
                nominal: Quantity::of($this->fall['nominal'], Unit::Volts, 1),
                share: $share,
            ),
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
