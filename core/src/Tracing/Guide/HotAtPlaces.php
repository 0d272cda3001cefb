<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Tracing\Next\Candidate;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\World\Sight;

/** R at three places: at the transformer, at the board, at the wall; the line before it where nothing is there. */
final class HotAtPlaces
{
    /** @return list<Step> */
    public static function steps(Ground $ground): array
    {
        $setup = new TestSetup();
        $steps = [];
        foreach ($ground->circuit->installation->transformers() as $t) {
            $pairs = [["{$t->id}.hot", "{$t->id}.common"], [$t->hot, $t->common]];
            foreach ($pairs as $pair) {
                $steps[] = Step::baseline(new Candidate($setup, $ground->probes(MeterMode::Volts, [$pair])));
            }
            $fuse = [["{$t->id}.hot", "{$t->id}.fused"]];
            $steps[] = Step::test(new Candidate($setup, $ground->probes(MeterMode::Volts, $fuse)));
        }
        $wall = array_values(
            array_filter(
                $ground->candidates->volts(),
                static fn (Probe $p): bool => array_any(
                    $ground->circuit->profile->hots(),
                    static fn (PlateTerminal $hot): bool => $hot->point() === $p->from,
                ),
            ),
        );
        if ($wall !== []) {
            $steps[] = Step::test(new Candidate($setup, $wall));
        }

        return [...$steps, Step::test(new Candidate($setup, [Probe::see([Sight::LINE])]))];
    }
}
