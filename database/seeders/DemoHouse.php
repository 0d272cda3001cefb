<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Document\Edit;
use App\Document\EditDocument;
use App\Handover\HandOver;
use App\House\House;
use App\Jobs\File\ImportJob;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Kind\PowerState;
use App\Models\Kind\Stage;
use App\Models\Kind\StepMoment;
use App\Models\Kind\TraceMoment;
use App\Models\Photo;
use App\Models\Record\MoveTick;
use App\Models\Record\SettingEntry;
use App\Models\Record\Signature;
use App\Plan\Edit\ChooseThermostat;
use App\Plan\Edit\UsePlan;
use App\Records\Append;
use App\Records\Live\RaisePowerFlag;
use App\Records\Power\PowerFlag;
use App\Records\Reading\ReadingPlace;
use App\Records\Reading\RecordReading;
use App\Records\Step\ObserveSign;
use App\Records\Step\RunStep;
use App\Survey\Edit\FinishSurvey;
use App\Trace\Book\TraceBook;
use App\Trace\RecordTrace;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use LogicException;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Data\Field;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Tracing\Played\PlayedHouse;
use Unionbit\Core\Tracing\Test\Result;

/**
 * Works a demo job through the application's own actions. Its readings are simulated: the circuit's nominal
 * value with a little noise from a fixed seed.
 */
final class DemoHouse
{
    /** Drawn by hand for the demo, nobody's: points from 0 to 1000. */
    private const STROKES = [
        'installer' => [
            [[80, 300], [160, 720], [250, 380], [330, 720], [430, 280]],
            [[470, 560], [560, 520], [600, 600], [680, 540], [760, 600], [900, 520]],
        ],
        'customer' => [
            [[150, 740], [170, 260], [300, 300], [280, 480], [180, 500], [340, 760]],
            [[420, 600], [520, 560], [640, 620], [820, 560]],
        ],
    ];

    private Carbon $clock;

    private readonly Field $file;

    /** @var array<mixed> */
    private readonly array $json;

    public function __construct(private readonly User $user, string $name, int $seed)
    {
        $json = json_decode(
            (string) file_get_contents(database_path("demo/{$name}.json")),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
        $this->json = is_array($json) ? $json : [];
        $this->file = Field::root($json);
        $this->clock = Carbon::now()->subDays(2)->setTime(8, 30);
        mt_srand($seed);
    }

    /** The job as it stands in its file: nothing planned, nothing measured. */
    public function open(): Job
    {
        $json = $this->json;
        unset($json['thermostat'], $json['plan']);

        return app(ImportJob::class)($this->user, (string) Str::ulid(), $json);
    }

    /** Puts the job on a day of the crew, today being 0. */
    public function on(Job $job, int $daysFromNow, int $startsAt, string $who): void
    {
        $job->forceFill([
            'day' => Carbon::now()->addDays($daysFromNow)->format('Y-m-d'),
            'starts_at' => $startsAt,
            'who' => $who,
        ])->save();
    }

    /** Surveyed and measured, with no thermostat chosen yet. */
    public function surveyed(): Job
    {
        $this->pass(60);
        $job = $this->open();
        $this->power($job, PowerState::Live, 26.8);
        $this->measure($job, new ReadingPlace(Stage::Survey, MeterMode::Volts, 'indoor.R', 'indoor.C'));
        foreach (['wall', 'indoor'] as $place) {
            Append::row(
                Photo::class,
                (string) Str::ulid(),
                $job,
                $this->user,
                static fn (): array => ['place' => $place, 'skipped' => 'demo data has no camera'],
            );
        }
        $this->edit($job, new FinishSurvey());
        RaisePowerFlag::to($job, $this->user, (string) Str::ulid(), PowerState::NotProved, [], false);
        Carbon::setTestNow();

        return $job;
    }

    /** Surveyed, with its thermostat chosen; the plan in use or still to be decided. */
    public function planned(bool $used): Job
    {
        $job = $this->surveyed();
        $this->edit($job, new ChooseThermostat($this->file->string('thermostat')));
        if ($used) {
            $this->edit($job, new UsePlan());
        }
        Carbon::setTestNow();

        return $job;
    }

    /**
     * A fault open in Trace, its first tests done as they were proposed, on a simulated house with this fault in it.
     *
     * @param  list<string>  $calls  complained of
     * @param  list<string>  $history
     */
    public function traced(string $fault, array $calls, array $history, int $tests): Job
    {
        $job = $this->planned(used: true);
        Carbon::setTestNow($this->clock);
        $trace = TraceBook::of($job)->trace ?? throw new LogicException('Quay House has a thermostat.');
        $found = $trace->catalogue->find($trace->circuit, $fault) ?? throw new LogicException("no {$fault}");
        $house = new PlayedHouse($trace->house, $trace->sight, [$found], 3);
        $told = array_map(
            static fn (string $c): array => ['call' => $c, 'sees' => $house->complained(CallName::from($c))->sees],
            $calls,
        );
        $this->power($job, PowerState::Live, 26.4);
        $this->row($job, TraceMoment::Open, ['complaint' => $told, 'history' => $history, 'at' => 'wall']);
        for ($test = 0; $test < $tests; $test++) {
            $next = TraceBook::of($job)?->read()->trace->answer()->next[0] ?? null;
            if ($next?->setup !== null && $next->probe !== null) {
                $this->test($job, $next->setup, $next->probe, $house->answer($next->setup, $next->probe));
            }
        }
        Carbon::setTestNow();

        return $job;
    }

    private function test(Job $job, Hands $setup, Probe $probe, Result $result): void
    {
        $state = $setup->isolated ? PowerState::Isolated : PowerState::Live;
        if (PowerFlag::of($job)->state !== $state) {
            $this->power($job, $state, $setup->isolated ? 0.0 : 26.4);
        }
        $this->pass(2);
        if ($probe->mode === null) {
            $body = ['probe' => $probe->toArray(), 'result' => $result->toArray()];
            RecordTrace::record(
                $job,
                $this->user,
                (string) Str::ulid(),
                TraceMoment::Test,
                $body,
                $setup->call->value,
            );

            return;
        }
        RecordReading::record(
            $job,
            $this->user,
            (string) Str::ulid(),
            new ReadingPlace(
                Stage::Prove,
                $probe->mode,
                $probe->from->id ?? '',
                $probe->to->id ?? '',
                null,
                $setup->call->value,
            ),
            $result->over ? 'OL' : number_format((float) $result->low, 1, '.', ''),
        );
    }

    /** @param  array<string, mixed>  $body */
    private function row(Job $job, TraceMoment $kind, array $body): void
    {
        $this->pass(1);
        RecordTrace::record($job, $this->user, (string) Str::ulid(), $kind, $body, null);
    }

    /**
     * Landed and set, with one setting as somebody left it.
     *
     * @param  array<string, string>  $wrong  values entered instead of the right ones, by key
     */
    public function set(array $wrong): Job
    {
        $job = $this->planned(used: true);
        $this->pass(5);
        $this->power($job, PowerState::Isolated, 0.0);
        $this->land($job);
        $this->power($job, PowerState::Live, 26.6);
        $this->enterSettings($job, $wrong);
        RaisePowerFlag::to($job, $this->user, (string) Str::ulid(), PowerState::NotProved, [], false);
        Carbon::setTestNow();

        return $job;
    }

    /** From survey to handover. */
    public function work(): Job
    {
        $this->pass(0);
        $job = $this->open();
        $this->pass(12);
        $this->power($job, PowerState::Live, 27.0);
        $this->measure($job, new ReadingPlace(Stage::Survey, MeterMode::Volts, 'indoor.R', 'indoor.C'));
        $this->measure($job, new ReadingPlace(Stage::Survey, MeterMode::Volts, 'wall.R', 'wall.C'));
        foreach (['wall', 'indoor'] as $place) {
            Append::row(
                Photo::class,
                (string) Str::ulid(),
                $job,
                $this->user,
                static fn (): array => ['place' => $place, 'skipped' => 'demo data has no camera'],
            );
        }
        $this->edit($job, new FinishSurvey());
        $this->pass(6);
        $this->edit($job, new ChooseThermostat($this->file->string('thermostat')));
        $this->edit($job, new UsePlan());
        $this->power($job, PowerState::Isolated, 0.0);
        $this->land($job);
        $this->power($job, PowerState::Live, 26.6);
        $this->enterSettings($job);
        $steps = House::of($job)->steps()?->all() ?? [];
        $rests = array_filter($steps, static fn (Step $s): bool => $s->method === Method::AtRest);
        $main = static fn (Step $s): bool => $s->method->isMain() ||
            ($s->method->isRequired() && $s->method !== Method::AtRest);
        foreach ([...$rests, ...array_filter($steps, $main), ...$rests] as $step) {
            $this->prove($job, $step);
        }
        $this->pass(8);
        foreach (['installer' => $this->user->name, 'customer' => 'R.'] as $role => $name) {
            Append::row(
                Signature::class,
                (string) Str::ulid(),
                $job,
                $this->user,
                static fn (): array => [
                    'role' => $role,
                    'name' => $name,
                    'strokes' => (string) json_encode(self::STROKES[$role]),
                ],
            );
        }
        HandOver::of($job, unsigned: false);
        Carbon::setTestNow();

        return $job;
    }

    private function land(Job $job): void
    {
        $plan = House::of($job)->plan ?? throw new \LogicException('No plan to land.');
        foreach (MoveList::of($plan) as $move) {
            $this->pass(1);
            Append::row(
                MoveTick::class,
                (string) Str::ulid(),
                $job,
                $this->user,
                static fn (): array => ['move' => $move->key, 'done' => true],
            );
        }
    }

    /** @param  array<string, string>  $wrong */
    private function enterSettings(Job $job, array $wrong = []): void
    {
        $plan = House::of($job)->plan ?? throw new \LogicException('No plan to set.');
        foreach (Derivation::all($plan) as $setting) {
            if ($setting->lacking === null && ! $setting->isRequired()) {
                continue;
            }
            $this->pass(1);
            Append::row(
                SettingEntry::class,
                (string) Str::ulid(),
                $job,
                $this->user,
                static fn (): array => [
                    'key' => $setting->key->value,
                    'value' => $wrong[$setting->key->value] ?? $setting->value,
                    'reason' => $setting->reason,
                ],
            );
        }
    }

    private function prove(Job $job, Step $step): void
    {
        if ($step->setUpIsolated) {
            $this->power($job, PowerState::Isolated, 0.0);
        }
        $this->pass(1);
        RunStep::record($job, $this->user, (string) Str::ulid(), $step->key(), StepMoment::Start);
        if ($step->setUpIsolated) {
            $this->power($job, PowerState::Live, 26.4);
        }
        $this->pass((int) ceil($step->wait->seconds / 60) + 1);
        foreach ($step->signs as $sign) {
            if ($sign->key !== Sign::DROP_OFF) {
                ObserveSign::record($job, $this->user, (string) Str::ulid(), $step->key(), $sign->key, true);
            }
        }
        foreach ($step->probes as $probe) {
            $this->measure($job, new ReadingPlace(Stage::Prove, $probe->mode, $probe->a, $probe->b, $step->key()));
        }
        if ($step->setUpIsolated) {
            $this->power($job, PowerState::Isolated, 0.0);
        }
        if ($step->dropOff !== null) {
            RunStep::record($job, $this->user, (string) Str::ulid(), $step->key(), StepMoment::Off);
            $this->pass((int) ceil($step->dropOff->seconds / 60));
            ObserveSign::record($job, $this->user, (string) Str::ulid(), $step->key(), Sign::DROP_OFF, true);
        } else {
            RunStep::record($job, $this->user, (string) Str::ulid(), $step->key(), StepMoment::End);
        }
        if ($step->setUpIsolated) {
            $this->power($job, PowerState::Live, 26.5);
        }
    }

    private function measure(Job $job, ReadingPlace $place): void
    {
        $this->pass(1);
        $nominal = $place->context($job)->expect($place->mode, $place->a, $place->b)->nominal ?? 0.0;
        $noisy = max(
            0.0,
            $nominal * (1.0 + mt_rand(-12, 12) / 1000.0) + ($nominal < 1.0 ? 0.0 : mt_rand(-1, 1) / 10.0),
        );
        RecordReading::record(
            $job,
            $this->user,
            (string) Str::ulid(),
            $place,
            number_format($noisy, $place->mode === MeterMode::Amps ? 2 : 1, '.', ''),
        );
    }

    private function power(Job $job, PowerState $state, float $volts): void
    {
        $this->pass(1);
        RaisePowerFlag::to(
            $job,
            $this->user,
            (string) Str::ulid(),
            $state,
            array_fill_keys(array_column(PowerFlag::sources($job), 'id'), number_format($volts, 1, '.', '')),
            $state === PowerState::Isolated,
            true,
        );
    }

    private function edit(Job $job, Edit $edit): void
    {
        (new EditDocument())($job, $this->user, (string) Str::ulid(), $job->version, $edit);
    }

    private function pass(int $minutes): void
    {
        $this->clock = $this->clock->copy()->addMinutes($minutes);
        Carbon::setTestNow($this->clock);
    }
}
