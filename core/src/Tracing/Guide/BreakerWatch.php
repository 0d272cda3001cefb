<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Tracing\Belief\Standing;
use Unionbit\Core\Tracing\Belief\Worlds;

/**
 * What a transformer gives while the test breaker holds, with the worst of those who are left. A resettable breaker is
 * slow: by its own curve it holds at several times what a small transformer can give for long.
 */
final readonly class BreakerWatch
{
    /** Volts of a supply, for its volt-amperes. */
    private const VOLTS = 24.0;

    /** Times its rating from which on the time is limited; seconds at twice the rating, falling with its square. */
    private const OVER = 1.2;

    private const SECONDS = 15.0;

    private const TWICE = 2.0;

    private const LEAST = 5.0;

    /** Share of a suspect that is thought of. */
    private const SHARE = 0.02;

    private const FEW = 12;

    /**
     * @param  float  $amps  that it gives then
     * @param  float  $va  that it gives then, volt-amperes
     * @param  float  $rating  of the transformer, volt-amperes
     * @param  float  $holds  volt-amperes up to which the breaker holds
     * @param  ?int  $seconds  after which it has to be off; null where nothing is overloaded. Our working figure
     */
    private function __construct(
        public string $supply,
        public float $amps,
        public float $va,
        public float $rating,
        public float $holds,
        public ?int $seconds,
    ) {
    }

    /**
     * Null where no test breaker is in.
     *
     * @param  list<Standing>  $standings  most first
     */
    public static function of(AskedHouse $house, Worlds $worlds, Hands $setup, array $standings): ?self
    {
        $supply = array_find(
            $house->circuit->installation->transformers(),
            static fn (Transformer $t): bool => in_array($t->id, $setup->breakers(), true) && $t->fuseAmps !== null,
        );
        if ($supply === null) {
            return null;
        }
        $multiple = 0.0;
        foreach (array_slice($standings, 0, self::FEW) as $standing) {
            if ($standing->share >= self::SHARE) {
                $solved = $house->with($worlds->fault($standing->world), $standing->open)->state($setup);
                $multiple = max($multiple, $solved->multiple($house->circuit, $supply->id));
            }
        }
        $fuse = (float) $supply->fuseAmps;
        $amps = $multiple * $fuse;
        $va = $amps * self::VOLTS;
        $times = $va / max(1.0, $supply->ratingVa);

        return new self(
            $supply->id,
            $amps,
            $va,
            $supply->ratingVa,
            Circuit::FUSE_FACTOR * $fuse * self::VOLTS,
            $times <= self::OVER
                ? null
                : (int) round(max(self::LEAST, self::SECONDS * (self::TWICE / $times) ** 2)),
        );
    }
}
