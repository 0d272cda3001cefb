<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Tracing\Next\Candidate;

/** R at three places: at the transformer, at the board, at the wall; the line before it where nothing is there. */
final class HotAtPlaces
{
    /** @return list<Step> */
    public static function steps(Ground $ground): array
    {
        $setup = Hands::calling();
        $steps = [];
        foreach ($ground->circuit->installation->transformers() as $t) {
            $hot = At::lead($t->id, Lead::Hot);
            $pairs = [[$hot, At::lead($t->id, Lead::Common)], [At::read($t->hot), At::read($t->common)]];
            foreach ($pairs as $pair) {
                $steps[] = Step::baseline(new Candidate($setup, $ground->probes(MeterMode::Volts, [$pair])));
            }
            $fuse = [[$hot, At::lead($t->id, Lead::Fused)]];
            $steps[] = Step::test(new Candidate($setup, $ground->probes(MeterMode::Volts, $fuse)));
        }
        $wall = array_values(
            array_filter(
                $ground->candidates->volts(),
                static fn (Probe $p): bool => array_any(
                    $ground->circuit->profile->hots(),
                    static fn (PlateTerminal $hot): bool => $p->from?->is($hot->at()) === true,
                ),
            ),
        );
        if ($wall !== []) {
            $steps[] = Step::test(new Candidate($setup, $wall));
        }

        return [...$steps, Step::test(new Candidate($setup, [Probe::see([Senses::LINE])]))];
    }
}
