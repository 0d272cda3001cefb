<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Tracing\Belief\Standing;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Suspect\SuspectList;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\World\Points;
use Unionbit\Core\Tracing\World\Prediction;
use Unionbit\Core\Tracing\World\Sight;

/** What every probe of a set-up would tell of the worlds that still matter, and what it costs. */
final class Scoring
{
    /** Minutes that a fuse is worth. */
    private const FUSE = 12.0;

    /** Minutes of every test beside what it takes: to read what comes next, to write it down. */
    private const TURN = 3.0;

    /** What a proof of the school's own kind costs of its minutes: it is at hand, another has to be got out. */
    private const OWN = 0.75;

    /** For measuring: costs are left out. */
    public bool $bitsAlone = false;

    /** @var array<string, true> keys of tests that were done already */
    public array $done = [];

    public function __construct(
        private readonly Candidates $candidates,
        private readonly Outlook $outlook,
        private readonly Cost $cost,
        private readonly Sight $sight,
        private readonly Points $points,
        private readonly SuspectList $list,
        private readonly School $school,
    ) {
    }

    public function worth(float $bits, float $minutes): float
    {
        return $this->bitsAlone ? $bits : $bits / (self::TURN + $minutes);
    }

    /** @return list<array{float, Candidate}> the least that each set-up costs in minutes, cheapest first */
    public function inOrder(State $state): array
    {
        $in = $state->setup->breaker;
        $all = [...$this->candidates->calls(), ...$this->candidates->jumped(), ...$this->candidates->dead()];
        if ($in !== []) {
            $all = array_map(
                static fn (Candidate $c): Candidate => new Candidate($c->setup->broken($in), $c->probes),
                $all,
            );
        }
        $looks = $this->candidates->looks();
        if ($this->sight->fused() !== '' && $in === []) {
            $looks[] = Probe::see([Sight::FUSE]);
        }
        $ordered = [];
        foreach ([...$all, ...$this->candidates->breakers(), new Candidate($state->setup, $looks)] as $candidate) {
            if ($candidate->probes !== [] && ! self::isRefused($candidate->setup, $state)) {
                $handling = $this->cost->of($state, $candidate->setup, $candidate->probes[0]);
                $ordered[] = [max(0.3, self::OWN * ($handling->minutes - 2.0)), $candidate];
            }
        }
        usort($ordered, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $ordered;
    }

    private static function isRefused(TestSetup $setup, State $state): bool
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

    /** @return list<Scored> those that tell enough */
    public function of(Candidate $candidate, Hypotheses $hypotheses, State $state, float $least): array
    {
        [$by, $risk] = $this->predictions($candidate, $hypotheses);
        $scored = [];
        foreach ($candidate->probes as $n => $probe) {
            if ($this->isOut($candidate, $probe, $state)) {
                continue;
            }
            $predictions = array_map(static fn (array $p): Prediction => $p[$n], $by);
            $partition = Partition::of($predictions, $hypotheses);
            if ($partition->bits < $least) {
                continue;
            }
            $handling = $this->cost->of($state, $candidate->setup, $probe);
            $minutes = $this->weighed($candidate, $probe, $handling) + self::FUSE * $risk;
            $scored[] = new Scored(
                $candidate,
                $probe,
                $handling,
                $partition,
                $predictions,
                $this->worth($partition->bits, $minutes),
                $minutes,
            );
        }

        return $scored;
    }

    private function isOut(Candidate $candidate, Probe $probe, State $state): bool
    {
        if ($this->done !== [] && isset($this->done[$this->points->key($candidate->setup, $probe)])) {
            return true;
        }
        $named = [
            "point:{$probe->from}",
            "point:{$probe->to}",
            "look:{$probe->inspect}",
            ...array_map(static fn (string $k): string => "see:{$k}", $probe->see),
        ];

        return $state->cannot !== [] && array_intersect($state->cannot, $named) !== [];
    }

    /** @return array{list<list<Prediction>>, float} by world, by probe; and the share in which a fuse opens */
    private function predictions(Candidate $candidate, Hypotheses $hypotheses): array
    {
        $key = $candidate->setup->key().'/'.count($candidate->probes);
        $by = [];
        $risk = 0.0;
        foreach ($hypotheses->worlds as $n => $standing) {
            if (($candidate->probes[0]->inspect ?? '') !== '') {
                $by[] = $this->looks($candidate, $standing);

                continue;
            }
            [$predictions, $opens] = $this->outlook->of($candidate, $key, $standing->world, $standing->open);
            $by[] = $predictions;
            $risk += $opens ? $hypotheses->weights[$n] : 0.0;
        }

        return [$by, $risk];
    }

    /** @return list<Prediction> */
    private function looks(Candidate $candidate, Standing $standing): array
    {
        $fused = $this->sight->fused();
        $blown =
            in_array($fused, $standing->open, true) ||
            $this->list->looked($this->list->fuseOf($fused), $standing->left, $standing->open)->finds !==
                Prediction::SOUND;

        return array_map(
            fn (Probe $p): Prediction => $p->inspect !== ''
                ? $this->list->looked($p->inspect, $standing->left, $standing->open)
                : Prediction::seeing([Sight::FUSE => [$blown ? 'open' : 'whole' => 1.0]]),
            $candidate->probes,
        );
    }

    /** Minutes as the school has them. */
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
}
