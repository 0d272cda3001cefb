<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Tracing\Record\State;

/** The test that would show most surely that one repair is the right one: what it gives and the others do not. */
final readonly class Confirming
{
    /** Share of the rivals that have to fall. */
    private const LEAST = 0.5;

    public function __construct(private Scoring $scoring)
    {
    }

    /**
     * A look at the very thing: it is on the way to the repair. Null where it was taken or refused.
     *
     * @param  array<string, true>  $done  keys of tests done already
     */
    public function look(Hypotheses $hypotheses, string $group, State $state, array $done): ?Proposal
    {
        $this->scoring->done = $done;
        $look = new Candidate($state->setup, [Probe::inspect($group)]);
        $scored = $this->scoring->of($look, $hypotheses, $state, 0.0)[0] ?? null;

        return $scored?->proposal($hypotheses, $scored->worth);
    }

    /**
     * Null where no test parts them, or all were done.
     *
     * @param  array<string, true>  $done  keys of tests done already
     */
    public function of(Hypotheses $hypotheses, string $group, State $state, array $done): ?Proposal
    {
        $this->scoring->done = $done;
        $best = null;
        $most = 0.0;
        foreach ($this->scoring->inOrder($state) as [$least, $candidate]) {
            if (1.0 / $least < $most) {
                break;
            }
            foreach ($this->scoring->of($candidate, $hypotheses, $state, 0.0) as $one) {
                $parts = $one->partition->fells($group, $hypotheses);
                $worth = $parts / max(0.5, $one->minutes);
                if ($parts > self::LEAST && $worth > $most) {
                    $most = $worth;
                    $best = $one->proposal($hypotheses, $worth);
                }
            }
        }

        return $best;
    }
}
