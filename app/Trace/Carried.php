<?php

declare(strict_types=1);

namespace App\Trace;

use App\Models\Job;
use App\Models\Record\Observation;
use App\Records\SetUp\SetupStrip;
use App\Records\Step\StepRecord;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Standing\Strip;
use Unionbit\Core\Circuit\Standing\Thing;
use Unionbit\Core\Proving\Judge\Outcome;
use Unionbit\Core\Proving\Step\FaultedStep;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Test\StripSetup;
use Unionbit\Core\Tracing\Test\TestSetup;
use Unionbit\Core\Tracing\Trace;

/** What the proofs have read and seen, as rows of a trace: nothing is measured twice. */
final readonly class Carried
{
    public function __construct(
        private Job $job,
        private Trace $trace,
        private StripSetup $setups,
        private SetupStrip $strips,
    ) {
    }

    /** @return list<Entry> */
    public function entries(): array
    {
        $entries = [];
        foreach (StepRecord::all($this->job) as $record) {
            if ($record->step->method->isAtAnyPower()) {
                continue;
            }
            foreach ($record->readings as $reading) {
                if ($reading->mode !== MeterMode::NonContact && $reading->outcome !== Outcome::TooEarly) {
                    $entries[] = Entry::test(
                        $reading,
                        $this->setup($record->step, $reading->seq),
                        Probe::meter($reading->mode, $reading->a, $reading->b),
                        TraceBook::result($reading),
                    );
                }
            }
            foreach ($record->signs as $observation) {
                $sign = array_find(
                    $record->step->signs,
                    static fn (Sign $s): bool => $s->key === $observation->sign,
                );
                $sees =
                    $sign === null || $observation->outcome === Outcome::TooEarly
                        ? []
                        : $this->sees($sign, $observation);
                if ($sees !== []) {
                    $entries[] = Entry::test(
                        $observation,
                        $this->setup($record->step, $observation->seq),
                        Probe::see(array_map(strval(...), array_keys($sees))),
                        Result::saw($sees),
                    );
                }
            }
        }

        return $entries;
    }

    /** What the step asks for, with what stood beside it. */
    private function setup(Step $step, int $seq): TestSetup
    {
        $strip = array_reduce(
            array_values($this->strips->before($seq)->things),
            static fn (Strip $all, Thing $thing): Strip => $all->with($thing),
            Strip::ofSetup($step->setup),
        );
        $byThermostat = FaultedStep::byThermostat($step) || ! $step->setup->power;

        return $this->setups->of($strip, $byThermostat ? $step->call : CallName::Idle, ! $step->setup->power);
    }

    /** @return array<string, string> answers by key; nothing where the sign says it of several together */
    private function sees(Sign $sign, Observation $observation): array
    {
        $known = $this->trace->sight->answers;
        $keys = array_values(array_filter($sign->watched(), static fn (string $k): bool => isset($known[$k])));
        if ($keys === [] || $sign->key === Sign::DROP_OFF) {
            return [];
        }
        if ($observation->how !== null) {
            $said = $observation->how->value;

            return count($keys) === 1 && in_array($said, $known[$keys[0]], true) ? [$keys[0] => $said] : [];
        }
        $runs = $observation->seen !== $sign->still;
        if ($runs && count($keys) > 1) {
            return [];
        }
        $answers = [];
        foreach ($keys as $key) {
            $answers[$key] = match (true) {
                in_array('on', $known[$key], true) => $runs ? 'on' : 'off',
                default => $runs ? 'yes' : 'no',
            };
        }

        return $answers;
    }
}
