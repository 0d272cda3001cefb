<?php

declare(strict_types=1);

namespace App\Handover;

use App\House\House;
use App\Models\Job;
use App\Prove\Coverage\CoverageSheet;
use App\Prove\Coverage\CoverageView;
use App\Records\Progress\Progress;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Proving\Coverage\Gap;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** What the proofs of a record are worth, in sentences for its paper. */
final class Worth
{
    /**
     * @param  float  $seconds  to work at it
     * @return list<Message> none where no thermostat is planned; that it is not worked out yet, where time was short
     */
    public static function of(Job $job, float $seconds = INF): array
    {
        $plan = House::of($job)->standing;
        $progress = Progress::of($job);
        if ($plan === null) {
            return [];
        }
        $coverage = CoverageSheet::of($job, $plan, $progress, $seconds)->coverage;
        if ($coverage === null) {
            return [Message::of('handover.worth.working')];
        }
        $calls = $progress->calls();
        $proved = array_filter($calls, static fn (array $c): bool => $c['proved']);
        $says = [
            Message::of(
                'handover.worth.share',
                proved: count($proved),
                calls: count($calls),
                share: Quantity::of(CoverageView::percent($coverage->share), Unit::Percent),
            ),
        ];
        if ($coverage->gaps !== []) {
            $says[] = Message::of(
                'handover.worth.not-shown',
                faults: array_map(
                    static fn (Gap $g): Message => Message::of(
                        'handover.worth.fault',
                        fault: $g->faults[0]->name->within(),
                        places: count($g->faults),
                    ),
                    $coverage->gaps,
                ),
            );
        }
        if ($coverage->never !== []) {
            $says[] = Message::of(
                'handover.worth.never',
                faults: array_map(static fn (Fault $f): Message => $f->title->within(), $coverage->never),
            );
        }

        return $says;
    }
}
