<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Contacts;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Belief\Standing;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Suspect\SuspectList;

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
        private readonly Senses $sight,
        private readonly Contacts $points,
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
        $in = $state->setup->breakers();
        $all = [...$this->candidates->calls(), ...$this->candidates->jumped(), ...$this->candidates->dead()];
        if ($in !== []) {
            $all = array_map(
                static fn (Candidate $c): Candidate => new Candidate($c->setup->broken(...$in), $c->probes),
                $all,
            );
        }
        $looks = $this->candidates->looks();
        if ($this->sight->fused() !== '' && $in === []) {
            $looks[] = Probe::see([Senses::FUSE]);
        }
        $ordered = [];
        foreach ([...$all, ...$this->candidates->breakers(), new Candidate($state->setup, $looks)] as $candidate) {
            if ($candidate->probes !== [] && ! $state->cannot->hands($candidate->setup)) {
                $handling = $this->cost->of($state, $candidate->setup, $candidate->probes[0]);
                $ordered[] = [max(0.3, self::OWN * ($handling->minutes - 2.0)), $candidate];
            }
        }
        usort($ordered, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $ordered;
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
            $predictions = array_map(static fn (array $p): Showing => $p[$n], $by);
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

        return $state->cannot->probe($probe);
    }

    /** @return array{list<list<Showing>>, float} by world, by probe; and the share in which a fuse opens */
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

    /** @return list<Showing> */
    private function looks(Candidate $candidate, Standing $standing): array
    {
        $fused = $this->sight->fused();
        $blown =
            $standing->open->has($fused) ||
            $this->list->looked($this->list->fuseOf($fused), $standing->left, $standing->open)->finds !==
                Showing::SOUND;

        return array_map(
            fn (Probe $p): Showing => $p->inspect !== ''
                ? $this->list->looked($p->inspect, $standing->left, $standing->open)
                : Showing::seeing([Senses::FUSE => [$blown ? 'open' : 'whole' => 1.0]]),
            $candidate->probes,
        );
    }

    /** Minutes as the school has them. */
    private function weighed(Candidate $candidate, Probe $probe, Handling $handling): float
    {
        $own = match ($this->school) {
            School::Jumper => $candidate->setup->things->any(Jumper::class),
            School::Continuity => $probe->mode === MeterMode::Ohms || $probe->mode === MeterMode::Beep,
            School::Unit => $handling->at !== Place::Wall,
            School::Meter, School::Short => $probe->mode === MeterMode::Volts,
        };

        return $handling->minutes * ($own ? self::OWN : 1.0);
    }
}
