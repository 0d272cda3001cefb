<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Asked\Show\Duties;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultId;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Row;
use Unionbit\Core\Tracing\Record\RowKind;
use Unionbit\Core\Tracing\Suspect\Suspect;
use Unionbit\Core\Tracing\Suspect\SuspectList;

/**
 * How much every suspect is worth after the rows so far, by Bayes' rule, with the state of the fuses carried along in
 * each suspect's own world. A row is asked of a suspect only while it could still matter: whoever has fallen far below
 * the best keeps the rows that it has not been asked, and is asked them when the best fall as well.
 */
final class Belief
{
    /** Share of the best under which a suspect is not asked further rows; it can only fall. */
    private const MATTERS = 1.0e-5;

    /** What joins two that belong apart may have opened the fuse before anybody came. */
    private const BLOWN_BY = 0.5;

    /** What cannot open a fuse, with one that was blown by chance. */
    private const BLOWN_BESIDE = 0.002;

    /** Share from which on it is asked whether a suspect could have opened the fuse at all. */
    private const ASKED = 3.0e-4;

    /** Part of the times that what comes and goes is there. */
    private const THERE = 0.5;

    /** Something that is always there, told of as coming and going. */
    private const ALWAYS_AT_TIMES = 0.3;

    /** How well "none of what I know" explains anything. */
    private const UNKNOWN_READING = 0.15;

    private const UNKNOWN_SIGN = 0.45;

    /** @var array<string, Suspect> by id */
    private array $suspects = [];

    /** @var array<string, array<string, float>> weight by open fuses, by suspect */
    private array $weights = [];

    /** @var array<string, int> the first row that a suspect has not been asked */
    private array $next = [];

    /** @var array<string, array<int, float>> how well each row fitted, by suspect */
    private array $fitted = [];

    /** @var array<string, bool> whether it could have opened a fuse, by suspect; asked where it matters */
    private array $blowers = [];

    /** @var list<Row> */
    private array $rows = [];

    /** @var array<int, float> ohms of a good part read beside a row, by its number */
    private array $goods = [];

    /** @var list<array<string, true>> ids of faults, without severity, that were repaired before each row */
    private array $ended = [[]];

    private readonly Endings $endings;

    /** @param  list<string>  $fused  transformers with a fuse */
    public function __construct(
        private readonly SuspectList $list,
        private readonly RowLikelihood $likelihood,
        private readonly Worlds $worlds,
        private readonly Duties $wanted,
        private readonly array $fused,
        private readonly Blows $blows,
    ) {
        $this->endings = new Endings($list);
        foreach ($list->all as $suspect) {
            $this->enter($suspect);
        }
    }

    public function enter(Suspect $suspect): void
    {
        if (isset($this->suspects[$suspect->id])) {
            return;
        }
        $this->suspects[$suspect->id] = $suspect;
        $this->restart($suspect);
    }

    private function restart(Suspect $suspect): void
    {
        $blown = match (true) {
            $suspect->faults === [] || ! $suspect->joins() => 0.0,
            $this->blowers[$suspect->id] ?? true => self::BLOWN_BY,
            default => self::BLOWN_BESIDE,
        };
        $own = array_map(static fn (Fault $f): string => $f->entry, $suspect->faults);
        $blown = array_intersect($own, ['fuse-blown', 'thermal-reset']) === [] ? $blown : 0.0;
        $each = $this->fused === [] ? 0.0 : $blown / count($this->fused);
        $weights = ['' => $suspect->prior * (1.0 - $each * count($this->fused))];
        foreach ($each > 0.0 ? $this->fused : [] as $id) {
            $weights[OpenFuses::of($id)->key()] = $suspect->prior * $each;
        }
        $this->weights[$suspect->id] = $weights;
        $this->next[$suspect->id] = 0;
        $this->fitted[$suspect->id] = [];
    }

    /** @return list<Row> */
    public function rows(): array
    {
        return $this->rows;
    }

    public function add(Row $row): void
    {
        $this->rows[] = $row;
        $last = $this->ended[count($this->ended) - 1];
        $this->ended[] = $row->event === null || $row->withdrawn ? $last : $last + $this->endings->of($row->event);
        $event = $row->withdrawn ? null : $row->event;
        if ($event?->kind === EventKind::Compared && $event->row !== null && $event->ohms !== null) {
            $this->goods[$event->row] = $event->ohms;
            $this->again();
        }
    }

    /** Every row is asked anew. */
    private function again(): void
    {
        foreach ($this->suspects as $suspect) {
            $this->restart($suspect);
        }
    }

    /** A row is withdrawn: everything after it is judged again. */
    public function withdraw(int $number): void
    {
        $rows = array_map(
            static fn (Row $r): Row => $r->number === $number && $number > 0 ? $r->withdraw() : $r,
            $this->rows,
        );
        [$this->rows, $this->ended, $this->goods] = [[], [[]], []];
        foreach ($rows as $row) {
            $this->add($row);
        }
        $this->again();
    }

    /** @return list<Standing> everything with any share, most first */
    public function standings(): array
    {
        $this->ask();
        if ($this->askWhatBlows()) {
            $this->ask();
        }
        $total = array_sum(array_map(array_sum(...), $this->weights));
        $ended = $this->ended[count($this->ended) - 1];
        $standings = [];
        foreach ($this->suspects as $id => $suspect) {
            $left = $suspect->left($ended);
            foreach ($this->weights[$id] as $open => $weight) {
                $standings[] = $this->standing(
                    $suspect,
                    $left,
                    OpenFuses::at((string) $open),
                    $weight / $total,
                    $ended,
                );
            }
        }
        usort($standings, static fn (Standing $a, Standing $b): int => $b->share <=> $a->share);

        return $standings;
    }

    /**
     * @param  list<Fault>  $left
     * @param  array<string, true>  $ended
     */
    private function standing(Suspect $suspect, array $left, OpenFuses $open, float $share, array $ended): Standing
    {
        $gone = $left === [] && ($suspect->faults !== [] || isset($ended[$suspect->id]));
        $names = array_map(static fn (Fault $f): string => $f->id, $left);
        foreach ($open->supplies as $id) {
            $names[] = (new FaultId('fuse-blown', Part::fuse($id)->id))->text();
        }
        $plain = $suspect->faults === [] && ! $gone;

        return new Standing(
            $suspect,
            $left,
            $open,
            $share,
            match (true) {
                $plain => $suspect->id,
                $names === [] => Suspect::SOUND,
                default => implode('+', $names),
            },
            match (true) {
                $plain => $suspect->repair,
                $left !== [] => $left[0]->repair,
                ! $open->areNone() => $this->list->fuseOf($open->supplies[0]),
                default => Suspect::SOUND,
            },
            $this->worlds->key($left),
        );
    }

    /** Asks the rows of every suspect that could still matter. */
    private function ask(): void
    {
        $count = count($this->rows);
        $sums = array_map(array_sum(...), $this->weights);
        arsort($sums);
        $best = 0.0;
        foreach ($sums as $id => $sum) {
            if ($sum < self::MATTERS * $best) {
                break;
            }
            while ($this->next[$id] < $count) {
                $this->advance((string) $id, $this->next[$id]);
                if (array_sum($this->weights[$id]) < self::MATTERS * $best) {
                    break;
                }
            }
            $best = max($best, $this->next[$id] === $count ? array_sum($this->weights[$id]) : 0.0);
        }
    }

    /** Takes back the open fuse of those that could not have opened it; whether there were any. */
    private function askWhatBlows(): bool
    {
        $total = array_sum(array_map(array_sum(...), $this->weights));
        $any = false;
        foreach ($this->suspects as $id => $suspect) {
            $open = array_sum($this->weights[$id]) - ($this->weights[$id][''] ?? 0.0);
            if (isset($this->blowers[$id]) || ! $suspect->joins() || $open < self::ASKED * $total) {
                continue;
            }
            $this->blowers[$id] = $this->blows->could($suspect);
            if (! $this->blowers[$id]) {
                $this->restart($suspect);
                $any = true;
            }
        }

        return $any;
    }

    /** A row with what was read beside it. */
    private function row(int $index): Row
    {
        $row = $this->rows[$index];

        return $row->beside($this->goods[$row->number] ?? null);
    }

    private function advance(string $id, int $index): void
    {
        $row = $this->row($index);
        $this->next[$id] = $index + 1;
        if ($row->withdrawn) {
            return;
        }
        $before = array_sum($this->weights[$id]);
        $this->weights[$id] = $row->kind->isEvidence()
            ? $this->afterTest($this->suspects[$id], $row, $index)
            : ($row->event === null
                ? $this->weights[$id]
                : EventWeights::after($row->event, $this->suspects[$id], $this->weights[$id]));
        $after = array_sum($this->weights[$id]);
        $this->fitted[$id][$index] = $before > 0.0 ? $after / $before : 0.0;
    }

    /** @return array<string, float> */
    private function afterTest(Suspect $suspect, Row $row, int $index): array
    {
        $weights = $this->weights[$suspect->id];
        if ($suspect->isUnknown()) {
            $factor = $this->unknown($row);

            return array_map(static fn (float $w): float => $w * $factor, $weights);
        }
        $ended = $this->ended[$index];
        if ($suspect->isLanding && isset($ended[$suspect->id])) {
            $factor = $this->relanded($row);

            return array_map(static fn (float $w): float => $w * $factor, $weights);
        }
        $left = $suspect->left($ended);
        $world = $this->worlds->key($left);
        $there = $this->there($suspect, $left, $row);
        $late = Moments::late($left);
        $after = [];
        foreach ($weights as $key => $weight) {
            if ($weight <= 0.0) {
                continue;
            }
            $open = OpenFuses::at((string) $key);
            $look = $this->look($row, $left, $open);
            foreach ($this->likelihood->of($row, $world, $open, $late) as $then => $likelihood) {
                $after[$then] = ($after[$then] ?? 0.0) + $weight * $look * $there * $likelihood;
            }
            if ($there < 1.0) {
                foreach ($this->likelihood->of($row, '', $open) as $then => $likelihood) {
                    $after[$then] = ($after[$then] ?? 0.0) + $weight * $look * (1.0 - $there) * $likelihood;
                }
            }
        }
        $most = array_sum($after);

        return array_filter($after, static fn (float $w): bool => $w > 1.0e-6 * $most || $w === $most);
    }

    /** @param  list<Fault>  $left */
    private function there(Suspect $suspect, array $left, Row $row): float
    {
        $comes = $left !== [] && ! array_any($left, static fn (Fault $f): bool => ! $f->intermittent);
        if ($row->kind === RowKind::Told && $row->when !== ToldWhen::Now) {
            $shows = array_any($left, static fn (Fault $f): bool => $f->shows === $row->when);

            return $shows || ($comes && $row->when === ToldWhen::AtTimes) ? 1.0 : self::ALWAYS_AT_TIMES;
        }

        return $comes && $suspect->comesAndGoes() ? self::THERE : 1.0;
    }

    /**
     * What a look finds.
     *
     * @param  list<Fault>  $left
     */
    private function look(Row $row, array $left, OpenFuses $open): float
    {
        $target = $row->probe->inspect ?? '';
        $result = $row->result;
        $round = $row->probe->look ?? null;

        return match (true) {
            $result === null || $result->found === '' => 1.0,
            $round !== null => Fit::of(SuspectList::round($round, $left, $open), null, $result),
            $target !== '' => Fit::of($this->list->looked($target, $left, $open), null, $result),
            default => 1.0,
        };
    }

    private function unknown(Row $row): float
    {
        $factor = $row->result?->hasReading() === true ? self::UNKNOWN_READING : 1.0;
        foreach ($row->result->sees ?? [] as $_) {
            $factor *= self::UNKNOWN_SIGN;
        }

        return $factor * (($row->result->found ?? '') === '' ? 1.0 : self::UNKNOWN_SIGN);
    }

    /** The landing was put right: the house does what its equipment needs, as far as anybody looks. */
    private function relanded(Row $row): float
    {
        $wanted = $row->setup === null || ! $row->setup->isPlain() ? [] : $this->wanted->of($row->setup->call);
        $factor = $row->result?->hasReading() === true ? 0.5 : 1.0;
        foreach ($row->result->sees ?? [] as $key => $answer) {
            $factor *= isset($wanted[$key]) && $wanted[$key] !== $answer ? Fit::MISREAD : 1.0;
        }

        return $factor;
    }

    /** How well a row fitted a suspect, 0 to 1; null where it was not asked. */
    public function fit(string $suspect, int $index): ?float
    {
        return $this->fitted[$suspect][$index] ?? null;
    }

    /** @return array<string, Suspect> */
    public function suspects(): array
    {
        return $this->suspects;
    }

    /** Keeps what was worked out of the rows. */
    public function keep(): void
    {
        $this->likelihood->keep();
        $this->blows->keep();
    }

    /** How well a row fits the sound house with whole fuses, as it was read, whatever was repaired. */
    public function sound(int $index): float
    {
        return max(0.0, ...array_values($this->likelihood->of($this->row($index), '', OpenFuses::none())));
    }

    /** How well a row fits one fault alone in the house, whatever the fuses: for two faults together. */
    public function alone(Suspect $suspect, int $index): float
    {
        $row = $this->row($index);
        if ($row->withdrawn || ! $row->kind->isEvidence()) {
            return 1.0;
        }
        $left = $suspect->left($this->ended[$index]);
        $world = $this->worlds->key($left);
        $late = Moments::late($left);
        $look = $this->look($row, $left, OpenFuses::none());
        $best = max(0.0, ...array_values($this->likelihood->of($row, $world, OpenFuses::none(), $late)));
        if ($suspect->joins()) {
            foreach ($this->fused as $id) {
                $best = max($best, ...array_values($this->likelihood->of($row, $world, OpenFuses::of($id), $late)));
            }
        }

        return $look * $best;
    }
}
