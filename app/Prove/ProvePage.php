<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\BoardView;
use App\House\House;
use App\Models\Job;
use App\Models\Kind\Stage;
use App\Models\Record\Measurement;
use App\Prove\AsFound\AsFoundView;
use App\Records\Power\PowerFlag;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingNotes;
use App\Records\Reading\ReadingView;
use App\Records\Step\StepRecord;
use App\Records\Step\StepSheet;
use App\Stage\JobFrame;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LiftedEnd;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Figures\Air\TemperatureSplit;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Route\Route;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Proving\Steps\SupportingSteps;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

final class ProvePage
{
    /** @return array<string, mixed> */
    public static function props(Job $job, Plan $plan): array
    {
        $progress = Progress::of($job);
        $steps = array_map(static fn (StepRecord $r) => $r->step, array_values($progress->steps()));
        $sheet = StepSheet::spoken($plan, $steps);
        $notes = ReadingNotes::of($job, $progress->steps());

        return [
            ...JobFrame::props($job, $plan->circuit(), $progress),
            'thermostat' => $plan->profile->title,
            'asFound' => House::of($job)->isAsFound() ? AsFoundView::of($job) : null,
            'calls' => self::calls($progress),
            'steps' => array_values(
                array_map(
                    static fn (StepRecord $r): array => self::step($r, $sheet[$r->step->key()], $notes, $plan),
                    $progress->steps(),
                ),
            ),
            'routes' => self::routes($plan, $progress, PowerFlag::of($job)->isLive()),
            'restore' => $progress->restore(),
            'noContinuity' => (new SupportingSteps($plan))->whyNoContinuity(),
            'noWallJumper' => self::noWallJumper($plan, $progress),
            'board' => BoardView::of($plan),
            'resting' => BoardView::state($plan, $plan->circuit()->operate(Setup::calling())),
            'loads' => LoadCheckView::all($job, $plan, $notes),
            'measurements' => array_values(
                $job
                    ->counting($job->measurements())
                    ->get()
                    ->map(static fn (Measurement $m): array => MeasurementView::of($m))
                    ->all(),
            ),
            'splits' => TemperatureSplit::modes($plan->installation->archetype),
            'tons' => $plan->installation->answers->number('outdoorTons'),
            'readings' => ReadingView::log($job, Stage::Prove, $notes),
        ];
    }

    /**
     * @return list<array<string, mixed>> what is proved before power, the calls of the house, and a defrost: the
     *     first and the last can be left
     */
    private static function calls(Progress $progress): array
    {
        $defrost = $progress->defrost();
        $calls = [];
        $proofs = $progress->proofs();
        foreach ($proofs as $call => $state) {
            $isCall = $call !== CallName::Idle->value && CallName::tryFrom((string) $call) !== null;
            $calls[$call] = ['call' => (string) $call, ...$state, 'isCall' => $isCall, 'optional' => false];
        }

        return array_values([
            ...array_intersect_key($calls, ['idle' => true]),
            ...array_diff_key($calls, ['idle' => true]),
            ...$defrost === null
                ? []
                : [
                    [
                        'call' => CallName::Defrost->value,
                        ...$defrost,
                        'label' => Message::of('prove.prove-page.defrost'),
                        'isCall' => false,
                        'optional' => true,
                    ],
                ],
        ]);
    }

    /** @return object why a call cannot be proved by a jumper at the wall, by call, where it cannot */
    private static function noWallJumper(Plan $plan, Progress $progress): object
    {
        $why = [];
        foreach (array_keys($progress->calls()) as $call) {
            $why[$call] = (new SupportingSteps($plan))->whyNoJumper(CallName::from($call));
        }

        return (object) array_filter($why);
    }

    /**
     * @return array<string, array{label: Message, order: list<string>, keys: list<string>, reason: Message}> by
     *     school, what is left of its way
     */
    private static function routes(Plan $plan, Progress $progress, bool $live): array
    {
        $records = $progress->steps();
        $done = array_keys(array_filter($records, static fn (StepRecord $r): bool => $r->state() === 'passed'));
        foreach (
            array_keys(array_filter($progress->proofs(), static fn (array $c): bool => $c['waived'] !== null)) as $left
        ) {
            $done = [
                ...$done,
                ...array_keys(
                    array_filter(
                        $records,
                        static fn (StepRecord $r): bool => $r->step->key() === $left ||
                            ($r->step->call->value === $left && $r->step->call !== CallName::Idle),
                    ),
                ),
            ];
        }
        $restLeft = $progress->proofs()[CallName::Idle->value]['waived'] ?? null;
        // What is read before power has no place once it is on.
        if ($live || $progress->isPreChecked()) {
            $done[] = 'idle.pre-check';
        }
        // At rest comes first, and again after the last call.
        $rest = $records['idle.at-rest'] ?? null;
        if ($restLeft !== null) {
            $done[] = 'idle.at-rest';
        }
        $last = $progress->restsAtEnd() || $restLeft !== null ? null : $rest?->step;
        $routes = [];
        foreach (School::cases() as $school) {
            $route = Route::of(
                array_map(static fn (StepRecord $r) => $r->step, array_values($records)),
                $school,
                new Waits($plan->installation),
                $done,
                $last,
            );
            $routes[$school->value] = [
                'label' => $school->label(),
                'order' => array_map(static fn ($m): string => $m->value, $school->order()),
                'keys' => $route->keys,
                'reason' => $route->reason,
            ];
        }

        return $routes;
    }

    /**
     * @param  array{expected: list<array<string, mixed>>, board: array<string, mixed>, waitingBoard: array<string,
     *     mixed>}  $sheet
     * @return array<string, mixed>
     */
    private static function step(StepRecord $record, array $sheet, ReadingNotes $notes, Plan $plan): array
    {
        $step = $record->step;

        return [
            'key' => $step->key(),
            'call' => $step->call->value,
            'callLabel' => match ($step->call) {
                CallName::Idle => Message::of('prove.page.at-rest'),
                default => $step->call->label(),
            },
            'method' => $step->method->value,
            'methodLabel' => $step->method->label(),
            'shows' => $step->method->shows(),
            'isolated' => $step->setUpIsolated,
            'staysDead' => $step->staysDead,
            'main' => $step->method->isMain(),
            'required' => $step->method->isRequired() || $step->method->isAtAnyPower(),
            'do' => $step->do,
            'hot' => $step->hot,
            'closes' => $step->closes,
            'places' => array_map(static fn (Place $p): Message => $p->label(), $step->places()),
            'follows' => $step->follows,
            'jumpers' => array_map(
                static fn (Jumper $j): array => $j->names(),
                $step->hands->things->each(Jumper::class),
            ),
            'lifted' => array_merge(
                ...array_map(
                    static fn (LiftedEnd $e): array => $e->names(),
                    $step->hands->things->each(LiftedEnd::class),
                ),
            ),
            'faceOff' => $step->hands->face() !== Face::On,
            'wait' => ['seconds' => $step->wait->seconds, 'reason' => $step->wait->reason],
            'state' => $record->state(),
            'running' => $record->isRunning(),
            'startedAt' => $record->startedAt?->toIso8601String(),
            'readAgain' => $record->isReadAgain(),
            'readyAt' => $record->readyAt?->toIso8601String(),
            'probes' => array_map(
                static function (Measure $p, array $expected) use ($record, $notes): array {
                    $reading = $record->readings[$p->key()] ?? null;

                    return [
                        'a' => $p->a,
                        'b' => $p->b,
                        'mode' => $p->mode->value,
                        'optional' => $p->optional,
                        'shows' => $p->shows,
                        'expected' => $expected,
                        'reading' => $reading === null ? null : ReadingView::of($reading, $notes),
                    ];
                },
                $step->probes,
                $sheet['expected'],
            ),
            'signs' => array_map(static function (Sign $s) use ($record): array {
                $row = $record->signs[$s->key] ?? null;

                return [
                    'key' => $s->key,
                    'text' => $s->text,
                    'sense' => $s->sense,
                    'optional' => $s->optional,
                    'outcome' => $row?->outcome,
                    'how' => $row?->how?->ofCall(),
                    'danger' => $row?->how?->isDanger() ?? false,
                    'neither' => array_map(
                        static fn (SignAnswer $n): array => ['value' => $n->value, 'label' => $n->ofCall()],
                        $s->neither(),
                    ),
                    'reason' => $row?->reason,
                    'simulated' => $row->simulated ?? false,
                    'at' => $row?->at->toIso8601String(),
                ];
            }, $step->signs),
            'offAt' => $record->offAt?->toIso8601String(),
            'outBy' => $record->droppedBy()?->toIso8601String(),
            'dropOff' => $step->dropOff === null
                    ? null
                    : ['seconds' => $step->dropOff->seconds, 'reason' => $step->dropOff->reason],
            'dropped' => $record->hasDroppedOff(),
            'altered' => $record->altered,
            'stands' => $step->restore === []
                    ? []
                    : array_map(
                        static fn (Message $m): Message => $m->opening(),
                        $step->hands->things->labels($plan->circuit()),
                    ),
            'beside' => $step->beside,
            'buildUp' => $step->buildUp,
            'forced' => $step->forced === null
                    ? null
                    : ['seconds' => $step->forced->seconds, 'reason' => $step->forced->reason],
            'restore' => $step->restore,
            'board' => $sheet['board'],
            'waitingBoard' => $sheet['waitingBoard'],
        ];
    }
}
