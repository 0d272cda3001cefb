<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Tracing\Next\Candidate;

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
        $setup = Hands::calling();
        $wall = [];
        $common = $ground->circuit->profile->named(TerminalName::C)?->point() ?? '';
        $isLanded = $ground->house->contacts->endOn($common) !== null;
        foreach ($ground->circuit->profile->hots() as $screw) {
            foreach ($ground->circuit->profile->terminals as $terminal) {
                if ($isLanded ? $terminal->point() === $common : $terminal->point() !== $screw->point()) {
                    $wall[] = [$screw->at(), $terminal->at()];
                }
            }
        }
        [$hot, $strip] = [At::read($supply->hot), At::read($supply->common)];
        $lead = At::lead($supply->id, Lead::Common);
        $references = [[$hot, $strip], [$hot, $lead]];
        $steps = [Step::test(new Candidate($setup, $ground->probes(MeterMode::Volts, $wall)))];
        foreach ($references as $pair) {
            $steps[] = Step::baseline(new Candidate($setup, $ground->probes(MeterMode::Volts, [$pair])));
        }
        $steps[] = Step::test(new Candidate(Hands::dead(), $ground->probes(MeterMode::Ohms, [[$lead, $strip]])));

        return [...$steps, Step::anyOf($ground->candidates->cables(), 4)];
    }
}
