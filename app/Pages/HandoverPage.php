<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Job;
use App\Models\Measurement;
use App\Models\Reading;
use App\Models\Signature;
use App\Support\Progress;
use App\Support\StepRecord;
use App\Support\SurveyReadings;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Planning\Plan;
use Unionbit\Core\Planning\PlannedConductor;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Severity;

/** The record of a job on one page: before and after, settings, readings with reasons, open matters. */
final class HandoverPage
{
    /** @return array<string, mixed> */
    public static function props(Job $job): array
    {
        $house = $job->house();
        $progress = Progress::of($job);
        $plan = $house->plan;
        $marks = ReadingView::marks($job);

        return [
            ...JobFrame::props($job, $house->circuit(), $progress),
            'crew' => $job->crew()->value('name'),
            'thermostat' => $plan?->profile->title,
            'facts' => self::facts($job),
            'wiring' => $plan === null ? [] : self::wiring($plan),
            'link' => $plan?->profile->link === null ? null : "{$plan->profile->link[0]}–{$plan->profile->link[1]} link ".($plan->landing->linkIn ? 'in' : 'out'),
            'settings' => $plan === null ? [] : self::settings($job, $plan),
            'proofs' => self::proofs($progress, $marks),
            'survey' => array_values($job->readings()->where('stage', 'survey')->get()->map(static fn (Reading $r): array => ReadingView::of($r, $marks))->all()),
            'loads' => $plan === null ? [] : self::loads($job, $plan),
            'measurements' => array_values($job->measurements()->get()->map(static fn (Measurement $m): array => MeasurementView::of($m))->all()),
            'unexplained' => self::unexplained($job, $marks),
            'waived' => self::waived($progress),
            'photos' => array_values(array_filter(PhotoView::all($job), static fn (array $p): bool => $p['url'] !== null)),
            'figures' => $plan === null ? [] : self::figures($plan),
            'customer' => $plan === null ? null : ($plan->choice->customer ?? null),
            'choice' => $plan?->choice?->toArray(),
            'signatures' => array_values($job->signatures()->get()->map(static fn (Signature $s): array => ['role' => $s->role, 'name' => $s->name, 'strokes' => json_decode($s->strokes, true), 'at' => $s->at->toIso8601String()])->all()),
            'practice' => $job->practice !== null || $job->readings()->where('simulated', true)->exists(),
            'lines' => $progress->handover(),
            'restore' => $progress->restore(),
            'open' => self::open($job, $progress, $plan),
        ];
    }

    /** @return list<array{call: string, reason: string}> */
    private static function waived(Progress $progress): array
    {
        $rows = [];
        foreach ($progress->calls() as $call) {
            if ($call['waived'] !== null && ! $call['proved']) {
                $rows[] = ['call' => $call['label'], 'reason' => $call['waived']];
            }
        }

        return $rows;
    }

    /** @return list<array{title: string, verdict: string, tone: string}> figures of this house that are whole without anything typed */
    private static function figures(Plan $plan): array
    {
        $rows = [];
        foreach (Figures::all() as $figure) {
            $values = in_array($figure->key(), ['transformer-load', 'voltage-drop', 'fuse'], true) ? Figures::values($figure, [], $plan) : null;
            if ($values !== null) {
                $result = $figure->compute($values, $plan);
                $rows[] = ['title' => $figure->title(), 'verdict' => $result->verdict, 'tone' => $result->tone];
            }
        }

        return $rows;
    }

    /** @return list<array{label: string, value: string}> */
    private static function facts(Job $job): array
    {
        $house = $job->house()->installation;
        $facts = $house->facts;
        $transformer = $house->transformers()[0] ?? null;
        $given = static fn (?float $value, string $unit): string => $value === null ? ' (assumed)' : '';

        return [
            ['label' => 'Equipment', 'value' => $house->archetype->title],
            ['label' => 'Transformer', 'value' => sprintf('%g VA', $transformer->ratingVa ?? 0).$given($facts->transformerVa, 'VA')],
            ['label' => 'Fuse', 'value' => $transformer?->fuseAmps === null ? 'none' : sprintf('%g A', $transformer->fuseAmps).$given($facts->fuseAmps, 'A')],
            ['label' => 'Line and tap', 'value' => sprintf('%g V on the %g V tap', $facts->line(), $facts->tap()).$given($facts->lineVolts, 'V')],
            ['label' => 'Thermostat cable', 'value' => $house->wallCable()?->label() ?? 'none'],
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function wiring(Plan $plan): array
    {
        return array_map(static fn (PlannedConductor $p): array => [
            'number' => $p->conductor->number, 'colour' => $p->conductor->colour->value, 'stripe' => $p->conductor->stripe?->value,
            'before' => $p->conductor->near->label(), 'after' => $p->wall->label(), 'board' => $p->board->label(), 'evidence' => $p->conductor->evidence->label(),
        ], PlannedConductor::all($plan));
    }

    /** @return list<array<string, mixed>> */
    private static function settings(Job $job, Plan $plan): array
    {
        $entered = Progress::entered($job);
        $rows = [];
        foreach (array_filter(Derivation::all($plan), static fn (DerivedSetting $s): bool => $s->lacking === null) as $setting) {
            $value = $entered[$setting->key->value] ?? null;
            $rows[] = ['label' => $setting->key->label(), 'menu' => $setting->menuLabel, 'value' => $value === null ? null : $setting->key->choiceLabel($value), 'reason' => $setting->reason, 'asDerived' => $value === $setting->value];
        }

        return $rows;
    }

    /**
     * Readings that are flagged, and those whose flag has come off with an explanation.
     *
     * @param  array<string, array{unexplained: bool, note: string}>  $marks
     * @return list<array<string, mixed>>
     */
    private static function unexplained(Job $job, array $marks): array
    {
        return array_values($job->readings()->whereKey(array_keys($marks))->get()->map(static fn (Reading $r): array => ReadingView::of($r, $marks))->all());
    }

    /** @return list<array<string, mixed>> the calls in which the supply was read loaded */
    private static function loads(Job $job, Plan $plan): array
    {
        $rows = LoadCheckView::all($job, $plan);

        return array_values(array_filter($rows, static fn (array $row): bool => array_filter((array) $row['read']) !== []));
    }

    /**
     * @param  array<string, array{unexplained: bool, note: string}>  $marks
     * @return list<array<string, mixed>>
     */
    private static function proofs(Progress $progress, array $marks): array
    {
        return array_values(array_map(static fn (StepRecord $r): array => [
            'key' => $r->step->key(), 'call' => $r->step->call === CallName::Idle ? 'Before power' : $r->step->call->label(), 'method' => $r->step->method->label(), 'state' => $r->state(),
            'readings' => array_values(array_map(static fn (Reading $reading): array => ReadingView::of($reading, $marks), $r->readings)),
            'signs' => array_values(array_map(static fn ($o): array => ['sign' => $o->sign, 'seen' => $o->seen, 'outcome' => $o->outcome], $r->signs)),
        ], array_filter($progress->steps(), static fn (StepRecord $r): bool => $r->startedAt !== null)));
    }

    /** @return list<string> what was left, and why it matters */
    private static function open(Job $job, Progress $progress, ?Plan $plan): array
    {
        $open = [];
        foreach ($progress->steps() as $record) {
            foreach ($record->readings as $reading) {
                if ($reading->outcome === 'fail') {
                    $open[] = "{$record->step->call->label()}, {$record->step->method->label()}: {$reading->reason}";
                }
            }
            foreach ($record->step->signs as $sign) {
                if (($record->signs[$sign->key]->outcome ?? null) === 'fail') {
                    $open[] = "{$record->step->call->label()}: not seen: {$sign->text}.";
                }
            }
        }
        foreach ($job->measurements()->get()->groupBy(static fn (Measurement $m): string => $m->figure.$m->call) as $measured) {
            $last = $measured->last();
            if ($last !== null && $last->tone === 'fault') {
                $open[] = Figures::named($last->figure)?->title().": {$last->verdict}";
            }
        }
        $corrected = $job->readings()->whereNotNull('corrects_id')->pluck('corrects_id')->all();
        foreach ($job->readings()->where('outcome', 'fail')->whereNull('step')->get() as $reading) {
            /** @var Reading $reading */
            if (! in_array($reading->id, $corrected, true) && ! self::repeated($job, $reading)) {
                $open[] = "Reading {$reading->a} to {$reading->b}: {$reading->reason}";
            }
        }
        foreach (SurveyReadings::screening($job) as $finding) {
            if ($finding->severity !== Severity::Good && $finding->severity !== Severity::Note) {
                $open[] = "{$finding->code}: {$finding->title}. {$finding->action}";
            }
        }
        foreach ($plan === null ? [] : PlannedConductor::all($plan) as $planned) {
            if ($planned->wall->terminal !== null && ! $planned->conductor->evidence->isProof()) {
                $open[] = "{$planned->conductor->name()}: pairing {$planned->conductor->evidence->label()}, proved by its calls only.";
            }
        }

        return $open;
    }

    /** A later reading of the same points that passed settles an earlier one. */
    private static function repeated(Job $job, Reading $reading): bool
    {
        return $job->readings()->where('a', $reading->a)->where('b', $reading->b)->where('mode', $reading->mode)->where('outcome', 'pass')->where('at', '>', $reading->at)->exists();
    }
}
