<?php

declare(strict_types=1);

namespace App\Handover;

use App\House\House;
use App\House\Stops;
use App\House\SurveyReadings;
use App\Models\Job;
use App\Models\Record\Measurement;
use App\Models\Record\Reading;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingNotes;
use App\Records\Step\StepRecord;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/**
 * What is open on a job, and only that: what nobody has proved yet, what failed and was not settled since, what
 * screening finds in the house as the work leaves it, pairings that no proof has shown.
 */
final readonly class OpenMatters
{
    private function __construct(private Job $job, private Progress $progress, private ReadingNotes $notes)
    {
    }

    /** @return list<Message> with why it matters */
    public static function of(Job $job, Progress $progress, ReadingNotes $notes): array
    {
        $open = new self($job, $progress, $notes);

        return [
            ...$open->unfinished(),
            ...$open->failed(),
            ...$open->measured(),
            ...$open->read(),
            ...$open->findings(),
            ...$open->pairings(),
        ];
    }

    /** @return list<Message> what has not been done at all: nothing is in order only because nobody has looked */
    private function unfinished(): array
    {
        if (House::of($this->job)->standing === null) {
            return [
                Message::of(
                    $this->job->isService() ? 'handover.open-matters.not-known' : 'handover.open-matters.no-plan',
                ),
            ];
        }
        $unplanned =
            House::of($this->job)->plan === null && ! $this->job->isService()
                ? [Message::of('handover.open-matters.no-plan')]
                : [];
        $open = array_filter(
            $this->progress->proofs(),
            static fn (array $call): bool => ! $call['proved'] && $call['waived'] === null,
        );

        $defrost = $this->progress->defrost();
        $notRun = $defrost !== null && ! $defrost['proved'] && $defrost['waived'] === null;

        return [
            ...$unplanned,
            ...$open === []
                ? []
                : [
                    Message::of(
                        'handover.open-matters.not-proved',
                        calls: array_values(array_map(static fn (array $call): mixed => $call['label'], $open)),
                    ),
                ],
            ...$notRun ? [Message::of('handover.open-matters.defrost-not-run')] : [],
        ];
    }

    /** @return list<Message> readings and signs of the steps' last runs */
    private function failed(): array
    {
        $open = [];
        foreach ($this->progress->steps() as $record) {
            foreach ($record->readings as $reading) {
                if ($reading->outcome === Outcome::Fail) {
                    $open[] = Message::of(
                        'handover.open-matters.failed',
                        call: $record->step->call->label(),
                        method: $record->step->method->label(),
                        reason: $this->notes->on($reading)['reason'],
                    );
                }
            }
            foreach ($record->step->signs as $sign) {
                if (($record->signs[$sign->key]->outcome ?? null) === Outcome::Fail) {
                    $open[] = Message::of(
                        'handover.open-matters.not-seen',
                        call: $record->step->call->label(),
                        sign: $sign->text,
                    );
                }
            }
        }

        return $open;
    }

    /** @return list<Message> */
    private function measured(): array
    {
        $open = [];
        $rows = $this->job->counting($this->job->measurements())->get();
        foreach ($rows->groupBy(static fn (Measurement $m): string => $m->figure->value.$m->call) as $measured) {
            $last = $measured->last();
            if ($last !== null && $last->tone === 'fault') {
                $open[] = Message::of(
                    'handover.open-matters.measured',
                    figure: Figures::named($last->figure->value)?->title() ?? $last->figure->value,
                    verdict: $last->verdict,
                );
            }
        }

        return $open;
    }

    /**
     * @return list<Message> readings outside the steps that failed, and were neither corrected nor read again as
     *     expected
     */
    private function read(): array
    {
        $readings = $this->job->counting($this->job->readings())->get();
        $corrected = $readings->pluck('corrects_id')->filter()->all();
        $failed = $readings->where('outcome', Outcome::Fail)->whereNull('step')->whereNotIn('id', $corrected);
        $points = $failed->isEmpty() ? [] : House::of($this->job)->circuit()->netlist(Setup::calling())->points;
        $open = [];
        foreach ($failed as $reading) {
            $again = $readings->contains(
                static fn (Reading $r): bool => $r->seq > $reading->seq &&
                    $r->outcome === Outcome::Pass &&
                    [$r->a, $r->b, $r->mode] === [$reading->a, $reading->b, $reading->mode],
            );
            if (! $again) {
                $open[] = Message::of(
                    'handover.open-matters.reading',
                    a: $points[$reading->a]->label ?? $reading->a,
                    b: $points[$reading->b]->label ?? $reading->b,
                    place: $points[$reading->a]->where ?? Message::none(),
                    reason: $this->notes->on($reading)['reason'],
                );
            }
        }

        return $open;
    }

    /** @return list<Message> of the house as the work leaves it: a conductor landed on C closes "no conductor on C" */
    private function findings(): array
    {
        $findings = array_filter(
            SurveyReadings::screeningAsLeft($this->job, $this->progress->isLanded()),
            static fn (Finding $f): bool => $f->severity !== Severity::Good && $f->severity !== Severity::Note,
        );
        $proved = $this->proved();
        $settled = static fn (Finding $f): bool => $f->code === 'SC11' &&
            $f->conductors !== [] &&
            array_diff($f->conductors, $proved) === [];

        return array_values(
            array_map(Stops::says(...), array_filter($findings, static fn (Finding $f): bool => ! $settled($f))),
        );
    }

    /** @return list<Message> conductors that nobody traced and no proof has shown */
    private function pairings(): array
    {
        $plan = House::of($this->job)->standing;
        $proved = $this->proved();
        $open = [];
        foreach ($plan === null ? [] : PlannedConductor::all($plan) as $planned) {
            $assumed = $planned->wall->terminal !== null && ! $planned->conductor->evidence->isProof();
            if ($assumed && ! in_array($planned->id(), $proved, true)) {
                $open[] = Message::of(
                    'handover.open-matters.pairing-no-call-uses-proved',
                    conductor: $planned->conductor->name(),
                    evidence: $planned->conductor->evidence->label(),
                );
            }
        }

        return $open;
    }

    /** @return list<string> conductors whose pairing a passed proof from the wall has shown: "A3" */
    private function proved(): array
    {
        $plan = House::of($this->job)->standing;
        if ($plan === null || ! $this->progress->isLanded()) {
            return [];
        }
        $passed = array_filter(
            $this->progress->steps(),
            static fn (StepRecord $r): bool => $r->state() === 'passed' && $r->step->method->provesPairing(),
        );
        $screws = array_merge(
            ...array_values(
                array_map(static fn (StepRecord $r): array => [...$r->step->closes, $r->step->hot], $passed),
            ),
        );
        $common = $passed === [] ? [] : self::commons($plan);

        return array_values(
            array_map(
                static fn (PlannedConductor $p): string => $p->id(),
                array_filter(
                    PlannedConductor::all($plan),
                    static fn (PlannedConductor $p): bool => in_array(
                        $p->wall->terminal,
                        [...$screws, ...$common],
                        true,
                    ),
                ),
            ),
        );
    }

    /** @return list<string> printed C screws, shown by a thermostat that stays up on them while a call is proved */
    private static function commons(Plan $plan): array
    {
        $c = $plan->profile->named(TerminalName::C)?->printed;

        return $c === null || $plan->profile->powerFrom === null ? [] : [$c];
    }
}
