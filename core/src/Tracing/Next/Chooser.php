<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\World\Prediction;
use Unionbit\Core\Tracing\World\Sight;

/**
 * The next test by information per minute: one step ahead for every test that could still be the best, two steps ahead
 * for the best few. A test that would open a fuse is put behind one that tells the same by ohms or a breaker.
 */
final class Chooser
{
    /** No test tells more than so many bits; what bounds a search. */
    private const MOST_BITS = 2.6;

    /** Less than this is not worth a test. */
    public const TELLS = 0.02;

    /** Minutes that a fuse is worth. */
    private const FUSE = 12.0;

    /** Minutes of every test beside what it takes: to read what comes next, to write it down. */
    private const TURN = 3.0;

    /** Suspects of a rough look, and set-ups that are looked at with all of them. */
    private const ROUGH = 14;

    private const SETUPS = 9;

    /** Tests that are kept to look two steps ahead. */
    private const KEPT = 10;

    /** Two steps ahead for so many. */
    private const AHEAD = 4;

    /** What a proof of the school's own kind costs of its minutes, and what another does. */
    private const OWN = 0.75;

    public int $asked = 0;

    /** For measuring: costs are left out. */
    public bool $bitsAlone = false;

    /** @var array<string, true> tests that were done already */
    private array $done = [];

    public function __construct(
        private readonly Candidates $candidates,
        private readonly Outlook $outlook,
        private readonly Cost $cost,
        private readonly Sight $sight,
        private readonly School $school,
    ) {
    }

    /**
     * @param  array<string, true>  $done  keys of tests done already
     * @return list<Proposal> the best first
     */
    public function best(Hypotheses $hypotheses, State $state, array $done, int $most = 3): array
    {
        $this->done = $done;
        $scored = [];
        foreach ($this->promising($hypotheses, $state) as [$candidate, $fuses]) {
            array_push($scored, ...$this->scored($candidate, $fuses, $hypotheses, $state));
        }
        usort($scored, static fn (array $a, array $b): int => $b['worth'] <=> $a['worth']);
        $scored = self::apart($scored, self::KEPT);

        return $this->ahead($scored, $hypotheses, $most);
    }

    /**
     * The set-ups that are worth most by a rough look with the first few suspects.
     *
     * @return list<array{Candidate, list<string>}>
     */
    private function promising(Hypotheses $hypotheses, State $state): array
    {
        $rough = $hypotheses->first(self::ROUGH);
        $entropy = $rough->entropy();
        $worths = $candidates = [];
        foreach ($this->inOrder($state) as [$least, $candidate, $fuses]) {
            rsort($worths);
            if ($this->worth(min($entropy, self::MOST_BITS), $least) < ($worths[self::SETUPS - 1] ?? 0.0)) {
                break;
            }
            $best = 0.0;
            foreach ($this->scored($candidate, $fuses, $rough, $state) as $one) {
                $best = max($best, $one['worth']);
            }
            if ($best > 0.0) {
                $worths[] = $best;
                $candidates[] = [$best, $candidate, $fuses];
            }
        }
        usort($candidates, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_map(
            static fn (array $c): array => [$c[1], $c[2]],
            array_slice($candidates, 0, self::SETUPS),
        );
    }

    /**
     * Those that tell the same apart are one: the cheapest of them.
     *
     * @param  list<Scored>  $scored
     * @return list<Scored>
     *
     * @phpstan-type Scored array{worth: float, candidate: Candidate, probe: Probe, handling: Handling, partition:
     *     Partition, predictions: list<Prediction>, risk: float}
     */
    private static function apart(array $scored, int $most): array
    {
        $known = $kept = [];
        foreach ($scored as $one) {
            $signature = $one['partition']->signature();
            if (! isset($known[$signature])) {
                $known[$signature] = true;
                $kept[] = $one;
            }
            if (count($kept) === $most) {
                break;
            }
        }

        return $kept;
    }

    /** @return list<array{float, Candidate, list<string>}> the least that each costs, cheapest first */
    private function inOrder(State $state): array
    {
        $id = $this->sight->fused();
        $in = $state->setup->breaker;
        $all = [];
        foreach ([...$this->candidates->calls(), ...$this->candidates->jumped()] as $candidate) {
            $candidate = $in === [] ? $candidate : new Candidate($candidate->setup->broken($in), $candidate->probes);
            $all[] = [$candidate, []];
        }
        foreach ($this->candidates->dead() as $candidate) {
            $candidate = $in === [] ? $candidate : new Candidate($candidate->setup->broken($in), $candidate->probes);
            $all[] = [$candidate, []];
        }
        if ($id !== '' && $in === []) {
            foreach ($this->candidates->breakers() as $candidate) {
                $all[] = [$candidate, []];
            }
        } elseif ($id !== '') {
            foreach ($this->candidates->breakers() as $candidate) {
                $all[] = [$candidate, []];
            }
        }
        $looks = $this->candidates->looks()[0]->probes;
        if ($id !== '' && $in === []) {
            $looks[] = Probe::see([Sight::FUSE]);
        }
        $all[] = [new Candidate($state->setup, $looks), []];
        $ordered = [];
        foreach ($all as [$candidate, $fuses]) {
            if ($candidate->probes === [] || $this->isRefused($candidate->setup, $state)) {
                continue;
            }
            $handling = $this->cost->of($state, $candidate->setup, $candidate->probes[0], $fuses);
            $ordered[] = [max(0.3, self::OWN * ($handling->minutes - 2.0)), $candidate, $fuses];
        }
        usort($ordered, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $ordered;
    }

    private function isRefused(TestSetup $setup, State $state): bool
    {
        $named = [
            "call:{$setup->call->value}",
            ...array_map(static fn (string $e): string => "point:{$e}", $setup->lifted),
            ...array_map(static fn (string $p): string => "place:{$p}", $setup->unplugged),
        ];
        foreach ($setup->jumpers as [$a, $b]) {
            $named[] = "point:{$a}";
            $named[] = "point:{$b}";
        }

        return array_intersect($named, $state->cannot) !== [];
    }

    /**
     * @param  list<string>  $fuses
     * @return list<array{worth: float, candidate: Candidate, probe: Probe, handling: Handling, partition: Partition,
     *     predictions: list<Prediction>, risk: float}>
     */
    private function scored(Candidate $candidate, array $fuses, Hypotheses $hypotheses, State $state): array
    {
        $key = $candidate->setup->key().'/'.count($candidate->probes);
        [$by, $risk] = $this->predictions($candidate, $key, $hypotheses);
        $scored = [];
        $handlings = [];
        foreach ($candidate->probes as $n => $probe) {
            if ($this->isOut($candidate, $probe, $state)) {
                continue;
            }
            $predictions = array_map(static fn (array $p): Prediction => $p[$n], $by);
            $partition = Partition::of($predictions, $hypotheses);
            if ($partition->bits < self::TELLS) {
                continue;
            }
            $handling = $this->cost->of($state, $candidate->setup, $probe, $fuses);
            $minutes = $this->weighed($candidate, $probe, $handling) + self::FUSE * $risk;
            $scored[] = [
                'worth' => $this->worth($partition->bits, $minutes),
                'candidate' => $candidate,
                'probe' => $probe,
                'handling' => $handling,
                'partition' => $partition,
                'predictions' => $predictions,
                'risk' => $risk,
            ];
        }

        return $scored;
    }

    private function worth(float $bits, float $minutes): float
    {
        return $this->bitsAlone ? $bits : $bits / (self::TURN + $minutes);
    }

    private function isOut(Candidate $candidate, Probe $probe, State $state): bool
    {
        $refused = array_intersect(
            $state->cannot,
            [
                "point:{$probe->from}",
                "point:{$probe->to}",
                "look:{$probe->inspect}",
                ...array_map(static fn (string $k): string => "see:{$k}", $probe->see),
            ],
        );

        return $refused !== [] || isset($this->done[$candidate->setup->key().'/'.$probe->key()]);
    }

    /** @return array{list<list<Prediction>>, float} by world, by probe; and the share in which a fuse opens */
    private function predictions(Candidate $candidate, string $key, Hypotheses $hypotheses): array
    {
        $by = [];
        $risk = 0.0;
        foreach ($hypotheses->worlds as $n => $standing) {
            if (($candidate->probes[0]->inspect ?? '') !== '') {
                $by[] = $this->looks($candidate, $standing);

                continue;
            }
            $this->asked++;
            [$predictions, $opens] = $this->outlook->of($candidate, $key, $standing->world, $standing->open);
            $by[] = $predictions;
            $risk += $opens ? $hypotheses->weights[$n] : 0.0;
        }

        return [$by, $risk];
    }

    /** @return list<Prediction> */
    private function looks(Candidate $candidate, \Unionbit\Core\Tracing\Belief\Standing $standing): array
    {
        return array_map(
            fn (Probe $p): Prediction => $p->inspect !== ''
                ? Outlook::look($p->inspect, $standing->left, $standing->open)
                : Prediction::seeing([
                    Sight::FUSE => in_array($this->sight->fused(), $standing->open, true) ||
                        Outlook::look("fuse:{$this->sight->fused()}", $standing->left, $standing->open)->finds ===
                            'fuse-blown'
                            ? ['open' => 1.0]
                            : ['whole' => 1.0],
                ]),
            $candidate->probes,
        );
    }

    /** Minutes as the school has them: its own kind of proof is at hand, another has to be got out. */
    private function weighed(Candidate $candidate, Probe $probe, Handling $handling): float
    {
        $own = match ($this->school) {
            School::Jumper => $candidate->setup->jumpers !== [],
            School::Continuity => $probe->mode === MeterMode::Ohms || $probe->mode === MeterMode::Beep,
            School::Unit => $handling->at->value !== 'wall',
            School::Meter, School::Short => $probe->mode === MeterMode::Volts,
        };

        return $handling->minutes * ($own ? self::OWN : 1.0);
    }

    /**
     * Two steps ahead among the best few: what each of its outcomes could still be told by the others.
     *
     * @param  list<array{worth: float, candidate: Candidate, probe: Probe, handling: Handling, partition: Partition,
     *     predictions: list<Prediction>, risk: float}>  $scored
     * @return list<Proposal>
     */
    private function ahead(array $scored, Hypotheses $hypotheses, int $most): array
    {
        $few = array_slice($scored, 0, self::AHEAD);
        foreach ($few as $n => $first) {
            $bits = $first['partition']->bits;
            $minutes = $this->bitsAlone ? 1.0 : $bits / max(1.0e-9, $first['worth']);
            $then = 0.0;
            $later = 0.0;
            foreach ($first['partition']->classes as $class) {
                $share = Partition::share($class, $hypotheses);
                $best = 0.0;
                $cost = 0.0;
                foreach ($scored as $second) {
                    if ($second['probe'] === $first['probe']) {
                        continue;
                    }
                    $gain = self::within($class, $second['partition'], $hypotheses);
                    $takes = $this->bitsAlone ? 1.0 : self::TURN + $second['handling']->minutes;
                    if ($gain / $takes > $best / max(0.3, $cost)) {
                        [$best, $cost] = [$gain, $takes];
                    }
                }
                $then += $share * $best;
                $later += $share * $cost;
            }
            $few[$n]['worth'] = ($bits + $then) / max(0.3, $minutes + $later);
        }
        usort($few, static fn (array $a, array $b): int => $b['worth'] <=> $a['worth']);

        return array_map(
            fn (array $one): Proposal => Proposal::test(
                $one['candidate']->setup,
                $one['probe'],
                $one['handling'],
                $one['partition']->bits,
                self::outcomes($one['partition'], $one['predictions'], $hypotheses),
                $one['worth'],
            ),
            array_slice($few, 0, $most),
        );
    }

    /** @param  list<int>  $class */
    private static function within(array $class, Partition $second, Hypotheses $hypotheses): float
    {
        $in = array_fill_keys($class, true);
        $before = $by = [];
        $left = 0.0;
        foreach ($class as $n) {
            $before[$hypotheses->groups[$n]] = ($before[$hypotheses->groups[$n]] ?? 0.0) + $hypotheses->weights[$n];
        }
        $total = array_sum($before);
        foreach ($second->classes as $other) {
            $by = [];
            foreach ($other as $n) {
                if (isset($in[$n])) {
                    $by[$hypotheses->groups[$n]] = ($by[$hypotheses->groups[$n]] ?? 0.0) + $hypotheses->weights[$n];
                }
            }
            $left += $by === [] ? 0.0 : array_sum($by) / $total * Hypotheses::bits($by);
        }

        return $total <= 0.0 ? 0.0 : max(0.0, Hypotheses::bits($before) - $left);
    }

    /**
     * @param  list<Prediction>  $predictions
     * @return list<Outcome>
     */
    private static function outcomes(Partition $partition, array $predictions, Hypotheses $hypotheses): array
    {
        $outcomes = [];
        foreach ($partition->classes as $class) {
            $share = Partition::share($class, $hypotheses);
            usort($class, static fn (int $a, int $b): int => $hypotheses->weights[$b] <=> $hypotheses->weights[$a]);
            $outcomes[] = new Outcome(
                $predictions[$class[0]]->result(),
                round($share, 4),
                array_values(
                    array_unique(array_map(static fn (int $n): string => $hypotheses->worlds[$n]->id, $class)),
                ),
            );
        }
        usort($outcomes, static fn (Outcome $a, Outcome $b): int => $b->share <=> $a->share);

        return $outcomes;
    }

    /**
     * The test that would show most surely that one repair is the right one: what its worlds give and the others do
     * not. Null where none parts them, or all were done.
     *
     * @param  array<string, true>  $done
     */
    public function confirming(Hypotheses $hypotheses, string $group, State $state, array $done): ?Proposal
    {
        $this->done = $done;
        $best = null;
        $most = 0.0;
        foreach ($this->inOrder($state) as [$least, $candidate, $fuses]) {
            if (1.0 / $least < $most) {
                break;
            }
            $key = $candidate->setup->key().'/'.count($candidate->probes);
            [$by, $risk] = $this->predictions($candidate, $key, $hypotheses);
            foreach ($candidate->probes as $n => $probe) {
                if ($this->isOut($candidate, $probe, $state) || $risk > 0.05) {
                    continue;
                }
                $predictions = array_map(static fn (array $p): Prediction => $p[$n], $by);
                $partition = Partition::of($predictions, $hypotheses);
                $parts = self::parts($partition, $hypotheses, $group);
                $handling = $this->cost->of($state, $candidate->setup, $probe, $fuses);
                $worth = $parts / max(0.5, $handling->minutes);
                if ($parts > 0.5 && $worth > $most) {
                    $most = $worth;
                    $best = Proposal::test(
                        $candidate->setup,
                        $probe,
                        $handling,
                        $partition->bits,
                        self::outcomes($partition, $predictions, $hypotheses),
                        $worth,
                    );
                }
            }
        }

        return $best;
    }

    /** Share of the others that fall, where the group gives what it would give. */
    private static function parts(Partition $partition, Hypotheses $hypotheses, string $group): float
    {
        $best = 0.0;
        $all = 0.0;
        foreach ($hypotheses->groups as $n => $of) {
            $all += $of === $group ? 0.0 : $hypotheses->weights[$n];
        }
        if ($all <= 0.0) {
            return 0.0;
        }
        foreach ($partition->classes as $class) {
            $own = $others = 0.0;
            foreach ($class as $n) {
                $own += $hypotheses->groups[$n] === $group ? $hypotheses->weights[$n] : 0.0;
                $others += $hypotheses->groups[$n] === $group ? 0.0 : $hypotheses->weights[$n];
            }
            $best = max($best, $own > 0.5 ? 1.0 - $others / $all : 0.0);
        }

        return $best;
    }
}
