<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\HouseState;
use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Asked\Show\Shows;
use Unionbit\Core\Asked\Show\Tolerances;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Tracing\Record\Row;
use Unionbit\Core\Tracing\Test\Moment;
use WeakMap;

/** How likely a row is in one world with some fuses open, and which fuses are open after it. */
final class RowLikelihood
{
    /** A fuse is said to have opened where the world would not have opened it, or the other way round. */
    private const ODD_FUSE = 0.03;

    /** @var array<string, array<string, array<string, float>>> likelihood by fuses open afterwards, by row and world */
    private array $known = [];

    /** @var WeakMap<Row, string> */
    private WeakMap $keys;

    /** @var array<string, true> rows of which something was worked out here */
    private array $fresh = [];

    public function __construct(
        private readonly AskedHouse $house,
        private readonly Shows $oracle,
        private readonly Worlds $worlds,
        private readonly Moments $moments,
        private readonly ?Kept $kept = null,
    ) {
        $this->keys = new WeakMap();
    }

    /**
     * @param  bool  $late  what is wrong in it may show only after minutes
     * @return array<string, float> likelihood by the key of the fuses that are open afterwards
     */
    public function of(Row $row, string $world, OpenFuses $open, bool $late = false): array
    {
        $late = $late && $row->result?->when === Moment::AfterMinutes;
        $case = $world.'/'.$open->key().($late ? '/late' : '');
        $key = $this->keys[$row] ??= $row->key();
        $this->known[$key] ??= $this->kept?->of($key) ?? [];
        if (! isset($this->known[$key][$case])) {
            $this->known[$key][$case] = $this->work($row, $world, $open, $late);
            $this->fresh[$key] = true;
        }

        return $this->known[$key][$case];
    }

    /** Keeps what was worked out since. */
    public function keep(): void
    {
        foreach (array_keys($this->fresh) as $key) {
            $this->kept?->keep($key, $this->known[$key]);
        }
        $this->fresh = [];
    }

    /** @return array<string, float> */
    private function work(Row $row, string $world, OpenFuses $open, bool $late): array
    {
        $fault = $this->worlds->fault($world);
        [$test, $probe, $result] = [$row->setup, $row->probe, $row->result];
        if ($test === null || $probe === null || $result === null) {
            return [$open->key() => 1.0];
        }
        $house = $this->house->with($fault, $open);
        $solved = $house->state($test);
        $after = $open->with(...$solved->point->openFuses ?? []);
        $likelihood = $this->fits($solved, $row, $test, $probe);
        if ($test->breakers() !== [] && ! isset($result->sees[Senses::BREAKER])) {
            $trips = $this->trips($solved, $test);
            if ($trips > 0.0) {
                $tripped = $house->with($fault, $open->with(...$test->breakers()))->state($test->broken());
                $likelihood =
                    (1.0 - $trips) * $likelihood + $trips * $this->fits($tripped, $row, $test->broken(), $probe);
            }
        }
        foreach ($result->fuses as $id => $said) {
            [$was, $is] = [$open->has((string) $id), $after->has((string) $id)];
            $likelihood *= match (true) {
                $said === 'opened' => ! $was && $is ? 1.0 : ($was ? 0.1 : self::ODD_FUSE),
                $was => 1.0,
                default => $is ? 0.3 : self::ODD_FUSE,
            };
            $after = $after->with((string) $id);
        }
        if ($result->when !== null) {
            $likelihood *= $this->moments->fits($result->when, $test, $world, $open, $late);
        }

        return [$after->key() => $likelihood];
    }

    private function fits(HouseState $solved, Row $row, Hands $test, Probe $probe): float
    {
        $result = $row->result;
        if ($result === null) {
            return 1.0;
        }
        if ($probe->together) {
            return Fit::of($this->oracle->any($solved, $test, $probe->see), null, $result);
        }
        $likelihood =
            $probe->mode === null || $probe->mode === MeterMode::NonContact || ! $result->hasReading()
                ? 1.0
                : Fit::of(
                    $this->beside($row, $solved, $test, $probe) ?? $this->oracle->of($solved, $test, $probe),
                    $probe->mode,
                    $result,
                );

        return $result->sees === []
            ? $likelihood
            : $likelihood *
                    Fit::of(
                        Showing::seeing(
                            $this->oracle->answers(
                                $solved,
                                $test,
                                array_map(strval(...), array_keys($result->sees)),
                            ),
                        ),
                        null,
                        $result,
                    );
    }

    /** Ohms against those of a good part read beside it: what a part should have is then known, not worked out. */
    private function beside(Row $row, HouseState $solved, Hands $test, Probe $probe): ?Showing
    {
        if (
            $row->good === null ||
            $probe->mode !== MeterMode::Ohms ||
            $probe->from === null ||
            $probe->to === null
        ) {
            return null;
        }
        $from = $this->house->contacts->touched($probe->from, $test);
        $to = $this->house->contacts->touched($probe->to, $test);
        $own = $solved->ohms($from, $to);
        $sound = $this->house->state($test)->ohms($from, $to);

        return $own === null || $sound === null || $sound <= 0.0
            ? null
            : Tolerances::beside(($own / $sound) * $row->good);
    }

    /** Share of the times that the test breaker has tripped before the probe is read. */
    private function trips(HouseState $solved, Hands $test): float
    {
        $multiple = max(
            0.0,
            ...array_map(fn (string $id): float => $solved->multiple($this->house->circuit, $id), $test->breakers()),
        );

        return match (true) {
            $multiple > 2.0 => 0.8,
            $multiple > 1.35 => 0.4,
            default => 0.0,
        };
    }
}
