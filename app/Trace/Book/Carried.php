<?php

declare(strict_types=1);

namespace App\Trace\Book;

use App\Models\Job;
use App\Models\Record\Observation;
use App\Records\SetUp\SetupStrip;
use App\Records\Step\StepRecord;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Look;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Tracing\Trace;

/** What the proofs have read and seen, as rows of a trace: nothing is measured twice. */
final readonly class Carried
{
    public function __construct(private Job $job, private Trace $trace, private SetupStrip $strips)
    {
    }

    /** @return list<Entry> */
    public function entries(): array
    {
        $entries = [];
        foreach (StepRecord::all($this->job) as $record) {
            foreach ($record->step->method->isAtAnyPower() ? [] : $record->readings as $reading) {
                if ($reading->mode !== MeterMode::NonContact && $reading->outcome !== Outcome::TooEarly) {
                    $entries[] = Entry::test(
                        $reading,
                        $this->setup($record->step, $reading->seq),
                        Probe::meter($reading->mode, At::read($reading->a), At::read($reading->b)),
                        TraceBook::result($reading),
                    );
                }
            }
            foreach ($record->signs as $observation) {
                $sign = array_find(
                    $record->step->signs,
                    static fn (Sign $s): bool => $s->key === $observation->sign,
                );
                if ($sign !== null && $observation->outcome !== Outcome::TooEarly) {
                    array_push($entries, ...$this->sign($record->step, $sign, $observation));
                }
            }
        }

        return $entries;
    }

    /** @return list<Entry> none where the sign says nothing that a trace can take */
    private function sign(Step $step, Sign $sign, Observation $observation): array
    {
        $look = Look::tryFrom($sign->key);
        $asked = $this->setup($step, $observation->seq);
        // What falls out when the call ends is seen with nothing called.
        $setup = $sign->key === Sign::DROP_OFF ? $asked->asked(CallName::Idle) : $asked;
        $found = new Result(found: $observation->seen ? Showing::SOUND : Probe::OTHERWISE);
        if ($look !== null) {
            return $observation->how === null
                ? [Entry::test($observation, $setup, Probe::round($look), $found)]
                : [];
        }
        $sees = $this->sees($sign, $observation);
        if ($sees !== []) {
            $keys = array_map(strval(...), array_keys($sees));

            return [Entry::test($observation, $setup, Probe::see($keys), Result::saw($sees))];
        }
        $keys = $this->known($sign);

        $runs = $observation->seen !== $sign->still;

        return count($keys) > 1 && $observation->how === null
            ? [
                Entry::test(
                    $observation,
                    $setup,
                    Probe::anyOf($keys),
                    new Result(found: $runs ? Probe::OTHERWISE : Showing::SOUND),
                ),
            ]
            : [];
    }

    /** What the step asks for, with what stood beside it. */
    private function setup(Step $step, int $seq): Hands
    {
        return $step->hands->beside($this->trace->house->contacts->spread($this->strips->before($seq)));
    }

    /** @return list<string> what the sign watches, of what this house shows */
    private function known(Sign $sign): array
    {
        $known = $this->trace->sight->answers;

        return array_values(array_filter($sign->watched(), static fn (string $k): bool => isset($known[$k])));
    }

    /** @return array<string, string> answers by key; nothing where the sign says it of several together */
    private function sees(Sign $sign, Observation $observation): array
    {
        $known = $this->trace->sight->answers;
        $keys = $this->known($sign);
        if ($keys === []) {
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
