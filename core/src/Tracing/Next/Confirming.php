<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

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
