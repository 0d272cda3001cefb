<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Job;
use App\Support\Progress;
use App\Support\StepRecord;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Plan;
use Unionbit\Core\Proving\OtherSteps;
use Unionbit\Core\Proving\Probe;
use Unionbit\Core\Proving\Sign;
use Unionbit\Core\Terminal\Place;

final class ProvePage
{
    /** @return array<string, mixed> */
    public static function props(Job $job, Plan $plan): array
    {
        $progress = Progress::of($job);
        $circuit = $plan->circuit();
        $calls = [];
        foreach ($progress->calls() as $call => $state) {
            $calls[] = ['call' => $call, ...$state, 'optional' => false];
        }
        $defrost = $progress->steps()['defrost.voltage'] ?? null;
        if ($defrost !== null) {
            $calls[] = ['call' => 'defrost', 'label' => 'Defrost', 'proved' => $defrost->state() === 'passed', 'failed' => $defrost->state() === 'failed', 'running' => $defrost->isRunning(), 'waived' => null, 'optional' => true];
        }

        return [
            ...JobFrame::props($job, $circuit, $progress),
            'thermostat' => $plan->profile->title,
            'calls' => $calls,
            'steps' => array_values(array_map(static fn (StepRecord $r): array => self::step($plan, $circuit, $r), $progress->steps())),
            'restore' => $progress->restore(),
            'noContinuity' => (new OtherSteps($plan))->whyNoContinuity(),
            'noWallJumper' => $plan->profile->outputs === Place::Module ? 'Its switches stand at the equipment: no call conductor reaches the wall.' : null,
            'board' => BoardView::of($plan),
            'resting' => BoardView::state($plan, $circuit->operate(Setup::calling())),
            'readings' => ReadingView::log($job, 'prove'),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(Plan $plan, Circuit $circuit, StepRecord $record): array
    {
        $step = $record->step;
        $meter = new Meter($circuit);

        return [
            'key' => $step->key(), 'call' => $step->call->value, 'callLabel' => $step->call->label(), 'method' => $step->method->value, 'methodLabel' => $step->method->label(),
            'shows' => $step->method->shows(), 'isolated' => $step->setUpIsolated, 'staysDead' => $step->staysDead, 'main' => $step->method->isMain(), 'do' => $step->do, 'hot' => $step->hot, 'closes' => $step->closes,
            'jumpers' => $step->setup->jumpers, 'lifted' => $step->setup->lifted, 'faceOff' => $step->setup->faceOff,
            'wait' => ['seconds' => $step->wait->seconds, 'reason' => $step->wait->reason],
            'state' => $record->state(), 'running' => $record->isRunning(), 'startedAt' => $record->startedAt?->toIso8601String(), 'readyAt' => $record->readyAt?->toIso8601String(),
            'probes' => array_map(static function (Probe $p) use ($record, $meter, $step): array {
                $reading = $record->readings[$p->key()] ?? null;

                return ['a' => $p->a, 'b' => $p->b, 'mode' => $p->mode->value, 'shows' => $p->shows, 'expected' => $meter->read($p->mode, $step->setup, $p->a, $p->b)->toArray(), 'reading' => $reading === null ? null : ReadingView::of($reading)];
            }, $step->probes),
            'signs' => array_map(static function (Sign $s) use ($record): array {
                $row = $record->signs[$s->key] ?? null;

                return ['key' => $s->key, 'text' => $s->text, 'sense' => $s->sense, 'optional' => $s->optional, 'outcome' => $row?->outcome, 'reason' => $row?->reason, 'at' => $row?->at->toIso8601String()];
            }, $step->signs),
            'restore' => $step->restore,
            'board' => BoardView::state($plan, $circuit->operate($step->setup)),
            'waitingBoard' => BoardView::state($plan, $circuit->operate($step->waiting)),
        ];
    }
}
