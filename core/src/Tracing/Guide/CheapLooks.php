<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Proving\Route\Walk;
use Unionbit\Core\Tracing\Next\Candidate;

/**
 * What costs nothing to look at: batteries, mode, float, fuse, service switch, door, lamp. Where one stands first, then
 * place by place along the way; what the house has once before what it has many of, the quickest before the slower.
 */
final class CheapLooks
{
    /** Minutes up to which a look is cheap. */
    private const CHEAP = 2;

    /** @return list<Step> */
    public static function steps(Ground $ground): array
    {
        $kinds = array_count_values(array_column($ground->repairs, 'kind'));
        $found = [];
        foreach ($ground->repairs as $repair) {
            if ($repair->look !== null && $repair->look <= self::CHEAP) {
                $walk = Walk::secondsBetween($ground->state->at, $ground->cost->placeOf($repair->id));
                $found[] = [$walk, $kinds[$repair->kind], $repair->look, Probe::inspect($repair->id)];
            }
        }
        $sights = [Senses::DISPLAY => 0, Senses::LAMP => 0, Senses::FUSE => 1];
        foreach ($sights as $key => $minutes) {
            if (isset($ground->sight->answers[$key])) {
                $walk = Walk::secondsBetween($ground->state->at, $ground->sight->placeOf($key));
                $found[] = [$walk, 1, $minutes, Probe::see([$key])];
            }
        }
        usort($found, static fn (array $a, array $b): int => array_slice($a, 0, 3) <=> array_slice($b, 0, 3));

        return array_map(
            static fn (array $one): Step => Step::test(new Candidate($ground->state->setup, [$one[3]])),
            $found,
        );
    }
}
