<?php

declare(strict_types=1);

namespace App\Handover;

use App\House\ConductorView;
use App\House\House;
use App\Models\Job;
use App\Models\Record\Measurement;
use App\Models\Record\Observation;
use App\Models\Record\Reading;
use App\Models\Record\Signature;
use App\Prove\AsFound\Baseline;
use App\Prove\LoadCheckView;
use App\Prove\MeasurementView;
use App\Records\Photo\PhotoView;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingNotes;
use App\Records\Reading\ReadingView;
use App\Records\Step\StepRecord;
use App\Stage\JobFrame;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Look;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Work\WiringTable;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** The record of a job on one page: before and after, settings, readings with reasons, open matters. */
final class HandoverPage
{
    /** @return array<string, mixed> */
    public static function props(Job $job): array
    {
        $house = House::of($job);
        $progress = Progress::of($job);
        $plan = $house->standing;
        $notes = ReadingNotes::of($job, $progress->steps());
        $survey = $job->readings()->where('stage', 'survey')->get();

        return [
            ...JobFrame::props($job, $house->circuit(), $progress),
            'crew' => $job->handed_over_as['crew'] ?? $job->crew()->value('name'),
            'thermostat' => $plan?->profile->title,
            'facts' => self::facts($job),
            'wiring' => $plan === null ? [] : self::wiring($plan),
            'beside' => $plan === null ? [] : self::beside($plan),
            'settings' => $house->plan === null ? [] : self::settings($job, $house->plan),
            'baseline' => Baseline::of($job),
            'proofs' => self::proofs($progress, $notes),
            'survey' => array_values(
                $survey->map(static fn (Reading $r): array => ReadingView::of($r, $notes))->all(),
            ),
            'loads' => $plan === null ? [] : self::loads($job, $plan, $notes),
            'measurements' => array_values(
                $job
                    ->measurements()
                    ->get()
                    ->map(static fn (Measurement $m): array => MeasurementView::of($m))
                    ->all(),
            ),
            'unexplained' => self::unexplained($job, $notes),
            'waived' => self::waived($progress),
            'photos' => array_values(
                array_filter(PhotoView::all($job), static fn (array $p): bool => $p['url'] !== null),
            ),
            'figures' => $plan === null ? [] : self::figures($plan),
            'customer' => $plan === null ? null : $plan->choice->customer ?? null,
            'choice' => $plan?->choice?->toArray(),
            'signatures' => self::signatures($job),
            'unsigned' => self::unsigned($job),
            'simulated' => self::simulated($job),
            'lines' => $progress->handover(),
            'restore' => $progress->restore(),
            'open' => OpenMatters::of($job, $progress, $notes),
        ];
    }

    /** @return list<string> signatures that are missing now, or were when it was handed over */
    private static function unsigned(Job $job): array
    {
        return $job->handed_over_at === null ? HandOver::missing($job) : $job->handed_over_as['unsigned'] ?? [];
    }

    /** @return list<array<string, mixed>> */
    private static function signatures(Job $job): array
    {
        return array_values(
            $job
                ->signatures()
                ->get()
                ->map(
                    static fn (Signature $s): array => [
                        'role' => $s->role,
                        'name' => $s->from_file === null
                                ? $s->name
                                : Message::of('handover.handover-page.in-file', name: $s->name),
                        'strokes' => json_decode($s->strokes, true),
                        'at' => $s->at->toIso8601String(),
                        'simulated' => $s->simulated,
                    ],
                )
                ->all(),
        );
    }

    /** What of a real job's records is simulated and does not count; null where nothing is. */
    private static function simulated(Job $job): ?Message
    {
        $rows = $job->isPractice() ? 0 : $job->simulatedRecords();

        return $rows === 0 ? null : Message::of('handover.handover-page.simulated', rows: $rows);
    }

    /** @return list<array{call: Message, reason: string}> */
    private static function waived(Progress $progress): array
    {
        $rows = [];
        foreach ([...$progress->proofs(), ...array_filter([$progress->defrost()])] as $call) {
            if ($call['waived'] !== null && ! $call['proved']) {
                $rows[] = ['call' => $call['label'], 'reason' => $call['waived']];
            }
        }

        return $rows;
    }

    /**
     * @return list<array{title: Message, verdict: Message, tone: string}> figures of this house that are whole
     *     without anything typed
     */
    private static function figures(Plan $plan): array
    {
        $rows = [];
        foreach (Figures::of($plan) as $figure) {
            $values = Figures::isOfRecord($figure) ? Figures::values($figure, [], $plan) : null;
            if ($values !== null) {
                $result = $figure->compute($values, $plan);
                $rows[] = ['title' => $figure->title(), 'verdict' => $result->verdict, 'tone' => $result->tone];
            }
        }

        return $rows;
    }

    /** @return list<array{label: Message, value: string|Message}> */
    private static function facts(Job $job): array
    {
        $house = House::of($job)->installation;
        $facts = $house->facts;
        $transformer = $house->transformers()[0] ?? null;
        $rated = static fn (bool $known, Quantity $figure): Message => Message::of(
            $known ? 'handover.handover-page.found' : 'handover.handover-page.assumed',
            figure: $figure,
        );

        return [
            ['label' => Message::of('handover.handover-page.equipment'), 'value' => $house->equipment()],
            [
                'label' => Message::of('handover.handover-page.transformer'),
                'value' => $rated(
                    $facts->transformerVa !== null,
                    Quantity::of($transformer->ratingVa ?? 0, Unit::VoltAmps),
                ),
            ],
            [
                'label' => Message::of('handover.handover-page.fuse'),
                'value' => $transformer?->fuseAmps === null
                        ? Message::of('handover.handover-page.none')
                        : $rated($facts->fuseAmps !== null, Quantity::of($transformer->fuseAmps, Unit::Amps)),
            ],
            [
                'label' => Message::of('handover.handover-page.line-tap'),
                'value' => Message::of(
                    'handover.handover-page.on-tap',
                    line: $rated($facts->lineVolts !== null, Quantity::of($facts->line(), Unit::Volts)),
                    tap: Quantity::of($facts->tap(), Unit::Volts),
                ),
            ],
            [
                'label' => Message::of('handover.handover-page.thermostat-cable'),
                'value' => $house->wallCable()?->label() ?? Message::of('handover.handover-page.none'),
            ],
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function wiring(Plan $plan): array
    {
        return array_map(
            static fn (PlannedConductor $p): array => [
                'number' => $p->conductor->number,
                ...ConductorView::insulation($p->conductor->colour, $p->conductor->stripe),
                'before' => $p->conductor->near->label(),
                'after' => $p->wall->label(),
                'boardBefore' => $p->conductor->far->label(),
                'board' => $p->board->label(),
                'condition' => $plan->installation->marksOf($p->conductor),
                'evidence' => $p->conductor->evidence->label(),
            ],
            PlannedConductor::all($plan),
        );
    }

    /** @return list<array<string, mixed>> ties, the link, short leads, an adapter: before and now */
    private static function beside(Plan $plan): array
    {
        $shown = array_flip(['wall_before', 'wall', 'board_before', 'board', 'meaning', 'label']);

        return array_map(
            static fn (array $row): array => array_intersect_key($row, $shown),
            WiringTable::further($plan),
        );
    }

    /** @return list<array<string, mixed>> */
    private static function settings(Job $job, Plan $plan): array
    {
        $entered = Progress::entries($job);
        $rows = [];
        $has = static fn (DerivedSetting $s): bool => $s->lacking === null &&
            ($s->isRequired() || isset($entered[$s->key->value]));
        foreach (array_filter(Derivation::all($plan), $has) as $setting) {
            $entry = $entered[$setting->key->value] ?? null;
            $value = $entry?->value;
            $rows[] = [
                'label' => $setting->key->label(),
                'menu' => $setting->menuLabel,
                'value' => $value === null ? null : $setting->choiceLabel($value),
                'reason' => $setting->reason,
                'asDerived' => $value === $setting->value,
                'at' => $entry?->at->toIso8601String(),
            ];
        }

        return $rows;
    }

    /**
     * Readings that are flagged, and those whose flag has come off with an explanation.
     *
     * @return list<array<string, mixed>>
     */
    private static function unexplained(Job $job, ReadingNotes $notes): array
    {
        return array_values(
            $job
                ->readings()
                ->whereKey($notes->marked())
                ->get()
                ->map(static fn (Reading $r): array => ReadingView::of($r, $notes))
                ->all(),
        );
    }

    /** @return list<array<string, mixed>> the calls in which the supply was read loaded */
    private static function loads(Job $job, Plan $plan, ReadingNotes $notes): array
    {
        $rows = LoadCheckView::all($job, $plan, $notes);

        return array_values(
            array_filter($rows, static fn (array $row): bool => array_filter((array) $row['read']) !== []),
        );
    }

    /** What was looked for: in few words where there are such, else as the step asks for it. */
    private static function seen(Step $step, string $key): Message
    {
        foreach ($step->signs as $sign) {
            if ($sign->key === $key && ($sign->still || Look::tryFrom($key) !== null) && $key !== Sign::DROP_OFF) {
                return $sign->text;
            }
        }

        return Message::named('seen', $key);
    }

    /** @return list<array<string, mixed>> */
    private static function proofs(Progress $progress, ReadingNotes $notes): array
    {
        return array_values(
            array_map(
                static fn (StepRecord $r): array => [
                    'key' => $r->step->key(),
                    'call' => $r->step->call === CallName::Idle
                            ? Message::of('prove.page.at-rest')
                            : $r->step->call->label(),
                    'method' => $r->step->method->label(),
                    'state' => $r->state(),
                    'readings' => array_values(
                        array_map(
                            static fn (Reading $reading): array => ReadingView::of($reading, $notes),
                            $r->readings,
                        ),
                    ),
                    'signs' => array_values(
                        array_map(
                            static fn (Observation $o): array => [
                                'name' => self::seen($r->step, $o->sign),
                                'seen' => $o->seen,
                                'how' => $o->how?->label(),
                                'outcome' => $o->outcome->value,
                                'simulated' => $o->simulated,
                            ],
                            $r->signs,
                        ),
                    ),
                ],
                array_filter($progress->steps(), static fn (StepRecord $r): bool => $r->startedAt !== null),
            ),
        );
    }
}
