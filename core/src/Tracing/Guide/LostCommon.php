<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Tracing\Next\Candidate;
use Unionbit\Core\Tracing\Test\TestSetup;

/**
 * Hot everywhere and nothing runs: the common, against two references. The strip's own C, then the transformer's own
 * lead: a crack between the two is told by one reading each. Then the copper, end to end.
 */
final class LostCommon
{
    /** @return list<Step> */
    public static function steps(Ground $ground): array
    {
        $supply = $ground->supply();
        if ($supply === null) {
            return [];
        }
        $setup = new TestSetup();
        $wall = [];
        $common = $ground->circuit->profile->named(TerminalName::C)?->point() ?? '';
        $isLanded = $ground->world->points->endOn($common) !== null;
        foreach ($ground->circuit->profile->hots() as $hot) {
            foreach ($ground->circuit->profile->terminals as $terminal) {
                if ($isLanded ? $terminal->point() === $common : $terminal->point() !== $hot->point()) {
                    $wall[] = [$hot->point(), $terminal->point()];
                }
            }
        }
        $references = [[$supply->hot, $supply->common], [$supply->hot, "{$supply->id}.common"]];
        $steps = [Step::test(new Candidate($setup, $ground->probes(MeterMode::Volts, $wall)))];
        foreach ($references as $pair) {
            $steps[] = Step::baseline(new Candidate($setup, $ground->probes(MeterMode::Volts, [$pair])));
        }
        $steps[] = Step::test(
            new Candidate(
                TestSetup::dead(),
                $ground->probes(MeterMode::Ohms, [["{$supply->id}.common", $supply->common]]),
            ),
        );

        return [...$steps, Step::anyOf($ground->candidates->cables(), 4)];
    }
}
