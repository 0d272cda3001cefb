<?php

declare(strict_types=1);

namespace App\Records\Progress;

use App\House\House;
use App\House\Refused;
use App\House\SurveyReadings;
use App\Models\Job;
use App\Models\Kind\Stage;
use App\Models\Record\MoveTick;
use App\Models\Record\Reading;
use App\Models\Record\SettingEntry;
use App\Models\Record\Waiver;
use App\Records\Photo\Photographs;
use App\Records\SetUp\SetupStrip;
use App\Records\Step\StepRecord;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Suggest\SurveyProgress;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Work\Move;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Proving\Judge\StepEvidence;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Words\Message;

/** How far a job is: what each stage still needs, and what keeps it from being handed over. */
final class Progress
{
    /** The step in which the outdoor board is made to defrost. */
    private const DEFROST = 'defrost.voltage';

    /** @var array<string, StepRecord> */
    private array $steps;

    /** @var array<string, bool> */
    private array $moves;

    /** @var array<string, string> */
    private array $settings;

    /** @var ?array<string, string> reasons by what is left out, read once */
    private ?array $waivers = null;

    private function __construct(private readonly Job $job)
    {
        $this->steps = StepRecord::all($job);
        $this->moves = $job
            ->counting($job->moveTicks())
            ->get()
            ->mapWithKeys(static fn (MoveTick $t): array => [$t->move => $t->done])
            ->all();
        $this->settings = self::entered($job);
    }

    public static function of(Job $job): self
    {
        return new self($job);
    }

    /** @return array<string, string> latest value by setting key */
    public static function entered(Job $job): array
    {
        return array_map(static fn (SettingEntry $e): string => $e->value, self::entries($job));
    }

    /** @return array<string, SettingEntry> the latest by setting key */
    public static function entries(Job $job): array
    {
        return $job
            ->counting($job->settingEntries())
            ->get()
            ->mapWithKeys(static fn (SettingEntry $e): array => [$e->key => $e])
            ->all();
    }

    /** @return array<string, StepRecord> */
    public function steps(): array
    {
        return $this->steps;
    }

    public function isMoved(string $key): bool
    {
        return $this->moves[$key] ?? false;
    }

    /** Every move of the plan done, or none to do: the house is as it will be left. */
    public function isLanded(): bool
    {
        $house = House::of($this->job);

        return $house->isAsFound() ||
            ($house->plan !== null && ! in_array(false, array_column($this->moves(), 'done'), true));
    }

    /** @return list<array{label: Message, done: bool}> of the plan's landing list; empty without a plan */
    public function moves(): array
    {
        $plan = House::of($this->job)->plan;

        return $plan === null
            ? []
            : array_map(
                fn (Move $m): array => ['label' => $m->text, 'done' => $this->isMoved($m->key)],
                MoveList::of($plan),
            );
    }

    /** @return list<array{key: string, label: Message, done: bool}> */
    public function survey(): array
    {
        $missing = Photographs::missing($this->job);
        $photos = array_map(
            static fn (string $place): array => [
                'key' => "photo-{$place}",
                'label' => $place === 'wall'
                        ? Message::of('records.progress.photograph-wall-plate')
                        : Message::of('records.progress.photograph-board'),
                'done' => ! in_array($place, $missing, true),
            ],
            ['wall', 'indoor'],
        );

        return [
            ...SurveyProgress::items(
                House::of($this->job)->installation,
                SurveyReadings::supplyMeasured($this->job),
            ),
            ...$photos,
        ];
    }

    /** @return list<array{label: Message, done: bool}> */
    public function plan(): array
    {
        $plan = House::of($this->job)->plan;
        if ($this->job->isService()) {
            return [];
        }
        if ($plan === null) {
            return [
                ['label' => Message::of('records.progress.choose-thermostat'), 'done' => false],
                ['label' => Message::of('records.progress.use-plan'), 'done' => false],
            ];
        }
        $blocking = array_filter(MappingRules::check($plan), static fn (Finding $f): bool => $f->severity->blocks());

        return [
            ['label' => Message::of('records.progress.choose-thermostat'), 'done' => true],
            [
                'label' => $blocking === []
                        ? Message::of('records.progress.use-plan-2')
                        : Message::of('records.progress.correct', count: count($blocking)),
                'done' => $this->job->planned_at !== null,
            ],
            ...$this->moves(),
        ];
    }

    /** @return list<array{label: Message, done: bool}> */
    public function settings(): array
    {
        $plan = House::of($this->job)->plan;

        return $plan === null
            ? []
            : array_map(
                fn (DerivedSetting $s): array => [
                    'label' => $s->key->label(),
                    'done' => $s->accepts($this->settings[$s->key->value] ?? ''),
                ],
                array_values(
                    array_filter(
                        Derivation::all($plan),
                        fn (DerivedSetting $s): bool => $s->lacking === null &&
                            ($s->isRequired() || isset($this->settings[$s->key->value])),
                    ),
                ),
            );
    }

    /** @throws Refused where the house has no such call */
    public function refuseUnknownCall(string $call): void
    {
        $known = [...array_keys($this->proofs()), ...$this->defrost() === null ? [] : [CallName::Defrost->value]];
        if (! in_array($call, $known, true)) {
            throw Refused::at(
                'call',
                Message::of('records.progress.house-has-no-call-has', call: $call, has: $known),
            );
        }
    }

    /**
     * Everything without which nothing is certified: every call, the house at rest after the last of them, and each
     * switch that only its own proof shows.
     *
     * @return array<string, array{label: Message, proved: bool, failed: bool, running: bool, waived: ?string}> by
     *     call, at rest by "idle", a switch by the key of its step
     */
    public function proofs(): array
    {
        $proofs = $this->calls();
        $waived = $this->waivers();
        foreach ($this->steps as $key => $record) {
            $method = $record->step->method;
            // A closed job was certified by what was asked for in its time.
            $asked = $this->job->handed_over_at === null || $record->startedAt !== null;
            if (! $asked || ! $method->isRequired() || $method === Method::Voltage) {
                continue;
            }
            $name = $method === Method::AtRest ? CallName::Idle->value : $key;
            $proofs[$name] = [
                'label' => $method === Method::AtRest
                        ? $method->label()
                        : Message::of(
                            'records.progress.switch',
                            method: $method->label(),
                            number: $record->step->number,
                        ),
                'proved' => $method === Method::AtRest ? $this->restsAtEnd() : $record->state() === 'passed',
                'failed' => $record->state() === 'failed',
                'running' => $record->isRunning(),
                'waived' => $waived[$name] ?? null,
            ];
        }

        return $proofs;
    }

    /**
     * The defrost that this house's outdoor board can be made to run: shown, left out with a reason, or an open matter.
     *
     * @return ?array{label: Message, proved: bool, failed: bool, running: bool, waived: ?string} null where it has none
     */
    public function defrost(): ?array
    {
        $record = $this->steps[self::DEFROST] ?? null;
        $asked = $record !== null && ($this->job->handed_over_at === null || $record->startedAt !== null);

        return $asked
            ? [
                'label' => CallName::Defrost->label(),
                'proved' => $record->state() === 'passed',
                'failed' => $record->state() === 'failed',
                'running' => $record->isRunning(),
                'waived' => $this->waivers()[CallName::Defrost->value] ?? null,
            ]
            : null;
    }

    /** Nothing ran and nothing was live without a call, after the last call that was made. */
    public function restsAtEnd(): bool
    {
        $rest = $this->steps['idle.at-rest'] ?? null;
        if ($rest === null || $rest->state() !== 'passed') {
            return false;
        }
        foreach ($this->steps as $record) {
            $calls = ! $record->step->method->isDead() && ! $record->step->method->isAtAnyPower();
            if ($calls && $record !== $rest && ($record->startedSeq ?? 0) > ($rest->startedSeq ?? 0)) {
                return $this->job->handed_over_at !== null;
            }
        }

        return true;
    }

    /** @return array<string, string> reasons by what is left out */
    private function waivers(): array
    {
        return $this->waivers ??= array_filter(
            $this->job
                ->proving($this->job->waivers(), House::of($this->job)->isAsFound())
                ->get()
                ->mapWithKeys(static fn (Waiver $w): array => [$w->call => $w->reason])
                ->all(),
        );
    }

    /**
     * @return array<string, array{label: Message, proved: bool, failed: bool, running: bool, waived: ?string}> by
     *     call
     */
    public function calls(): array
    {
        $calls = [];
        $waived = $this->waivers();
        $all = array_filter(
            CallTable::needed(House::of($this->job)->installation->archetype)->calls(),
            static fn (CallName $c): bool => $c !== CallName::Idle && $c->mode() === null,
        );
        foreach (House::of($this->job)->callsToProve() ?? $all as $call) {
            $voltage = $this->steps[$call->value.'.voltage'] ?? null;
            $jumper = $this->steps[$call->value.'.jumper'] ?? null;
            $calls[$call->value] = [
                'label' => $call->label(),
                'proved' => $voltage?->state() === 'passed',
                'failed' => $voltage?->state() === 'failed' || $jumper?->state() === 'failed',
                'running' => $voltage?->isRunning() === true || $jumper?->isRunning() === true,
                'waived' => $waived[$call->value] ?? null,
            ];
        }

        return $calls;
    }

    /**
     * Whether the ohms before power were read while landing, in Plan: the last reading of every pair is as expected.
     */
    public function isPreChecked(): bool
    {
        $record = $this->steps['idle.pre-check'] ?? null;
        if ($record === null) {
            return false;
        }
        $last = $this->job
            ->counting($this->job->readings())
            ->where('stage', Stage::Plan)
            ->where('mode', MeterMode::Ohms)
            ->get()
            ->mapWithKeys(static fn (Reading $r): array => ["{$r->a}~{$r->b}" => $r->outcome])
            ->all();

        return array_filter(
            $record->step->probes,
            static fn (Measure $p): bool => ($last[$p->key()] ?? null) !== Outcome::Pass,
        ) === [];
    }

    /**
     * What every proof has shown so far, once its wait is over, in the order in which they were begun.
     *
     * @return list<StepEvidence>
     */
    public function seen(): array
    {
        $records = array_filter(
            $this->steps,
            static fn (StepRecord $r): bool => ($r->readings !== [] || $r->signs !== []) && $r->secondsLeft() === 0,
        );
        uasort(
            $records,
            static fn (StepRecord $a, StepRecord $b): int => ($a->startedSeq ?? 0) <=> ($b->startedSeq ?? 0),
        );

        $stood = SetupStrip::read($this->job);

        return array_merge(
            [],
            ...array_values(array_map(static fn (StepRecord $r): array => $r->seen($stood), $records)),
        );
    }

    /** @return list<Message> temporary things still in place */
    public function restore(): array
    {
        $open = [];
        foreach ($this->steps as $record) {
            if ($record->isRunning()) {
                array_push($open, ...$record->step->restore);
            }
        }

        return [...$open, ...SetupStrip::restore($this->job)];
    }

    /** @return list<array{label: Message, done: bool}> what a handover needs */
    public function handover(): array
    {
        $all = static fn (array $items): bool => $items !== [] &&
            ! in_array(false, array_column($items, 'done'), true);

        $service = $this->job->isService();
        $stands = House::of($this->job)->standing !== null;

        return [
            [
                'label' => Message::of('records.progress.survey-finished'),
                'done' => $this->job->surveyed_at !== null,
            ],
            ...$service
                ? []
                : [
                    [
                        'label' => Message::of('records.progress.plan-used-every-move-ticked'),
                        'done' => $all($this->plan()),
                    ],
                    [
                        'label' => Message::of('records.progress.settings-entered'),
                        'done' => $all($this->settings()),
                    ],
                ],
            [
                'label' => Message::of(
                    $service
                        ? 'records.progress.every-call-proved-as-found'
                        : 'records.progress.every-call-proved-or-left',
                ),
                'done' => (! $service || $stands) &&
                    array_filter(
                        $this->proofs(),
                        static fn (array $c): bool => ! $c['proved'] && $c['waived'] === null,
                    ) === [],
            ],
            [
                'label' => Message::of('records.progress.everything-temporary-put-back'),
                'done' => $this->restore() === [],
            ],
        ];
    }

    /** @return list<array<string, mixed>> */
    public function tape(): array
    {
        $calls = array_map(
            static fn (array $c): array => ['label' => $c['label'], 'done' => $c['proved'] || $c['waived'] !== null],
            array_values($this->proofs()),
        );
        $stuck = in_array(true, array_column($this->proofs(), 'failed'), true);

        return [
            $this->segment(Stage::Survey, $this->survey(), $this->job->surveyed_at !== null),
            $this->segment(Stage::Plan, $this->plan()),
            $this->segment(Stage::Set, $this->settings()),
            $this->segment(Stage::Prove, $calls, stuck: $stuck),
            $this->segment(Stage::Handover, $this->handover(), $this->job->handed_over_at !== null),
        ];
    }

    /**
     * @param  list<array{label: Message, done: bool}>|list<array{key: string, label: Message, done: bool}>  $items
     * @return array<string, mixed>
     */
    private function segment(Stage $stage, array $items, bool $closed = false, bool $stuck = false): array
    {
        $done = count(array_filter($items, static fn (array $i): bool => $i['done']));
        $open = array_values(
            array_map(
                static fn (array $i): Message => $i['label'],
                array_filter($items, static fn (array $i): bool => ! $i['done']),
            ),
        );
        $finished = $stage === Stage::Handover ? $closed : $closed || ($items !== [] && $open === []);
        $folded = $this->job->isService() && ($stage === Stage::Plan || $stage === Stage::Set);

        return [
            'key' => $stage->value,
            'name' => $stage === Stage::Prove && House::of($this->job)->isAsFound()
                    ? Message::of('records.progress.as-found')
                    : $stage->label(),
            'folded' => $folded,
            'state' => $stuck ? 'stuck' : ($finished ? 'done' : ($done > 0 ? 'begun' : 'next')),
            'n' => count($items),
            'done' => $done,
            'word' => $items === []
                    ? Message::of($folded ? 'records.progress.nothing-replaced' : 'records.progress.after-plan')
                    : Message::of('records.progress.of', done: $done, count: count($items), stage: $stage->value),
            'open' => $open,
        ];
    }
}
