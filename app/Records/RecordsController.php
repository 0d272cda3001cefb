<?php

declare(strict_types=1);

namespace App\Records;

use App\House\House;
use App\Models\Job;
use App\Models\Record\MoveTick;
use App\Models\Record\SettingEntry;
use App\Models\Record\Waiver;
use App\Plan\PlanEdits;
use App\Records\Photo\Photographs;
use App\Records\Power\PowerFlag;
use App\Records\Power\RaisePowerFlag;
use App\Records\Reading\ReadingRequest;
use App\Records\Reading\ReadingView;
use App\Records\Reading\RecordReading;
use App\Records\Step\ObserveSign;
use App\Records\Step\RunStep;
use App\Web\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Planning\Work\Move;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Terminal\Place;

/** The append-only records of a job: readings, signs, settings, moves, steps, power. */
final class RecordsController extends Controller
{
    public function expect(ReadingRequest $request): JsonResponse
    {
        $place = $request->place();

        return new JsonResponse(
            $place->context($request->job())->expect($place->mode, $place->a, $place->b)->toArray(),
        );
    }

    public function reading(ReadingRequest $request): JsonResponse
    {
        $reading = RecordReading::record(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->place(),
            $request->string('value')->toString(),
            $request->nullableString('corrects'),
        );

        return new JsonResponse(ReadingView::of($reading), 201);
    }

    public function sign(RecordRequest $request): JsonResponse
    {
        $row = ObserveSign::record(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->string('step')->toString(),
            $request->string('sign')->toString(),
            $request->boolean('seen'),
        );

        return new JsonResponse(['id' => $row->id, 'outcome' => $row->outcome, 'reason' => $row->reason], 201);
    }

    /** A call that is left unproved, with the reason; an empty reason takes that back. */
    public function waive(RecordRequest $request): JsonResponse
    {
        $job = $request->job();
        $call = $request->string('call')->toString();
        $known = array_keys(Progress::of($job)->calls());
        if (! in_array($call, $known, true)) {
            throw ValidationException::withMessages([
                'call' => "This house has no call {$call}. It has ".implode(', ', $known).'.',
            ]);
        }
        $row = Append::row(
            Waiver::class,
            $request->id(),
            $job,
            $request->crewMember(),
            static fn (): array => ['call' => $call, 'reason' => trim($request->string('note')->toString())],
        );

        return new JsonResponse(['id' => $row->id], 201);
    }

    public function power(RecordRequest $request): JsonResponse
    {
        $typed = ['' => $request->nullableString('volts'), ...$request->supplies()];
        RaisePowerFlag::to(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->string('state')->toString(),
            array_filter($typed, static fn (?string $volts): bool => $volts !== null),
            $request->boolean('meter_proved'),
            $request->boolean('despite'),
        );

        return new JsonResponse(PowerFlag::of($request->job())->toArray(), 201);
    }

    public function step(RecordRequest $request): JsonResponse
    {
        $row = RunStep::record(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->string('step')->toString(),
            $request->string('event')->toString(),
        );

        return new JsonResponse(['id' => $row->id], 201);
    }

    public function setting(RecordRequest $request): JsonResponse
    {
        $job = $request->job();
        $key = $request->string('key')->toString();
        $value = $request->string('value')->toString();
        $setting = $this->derived($job, $key);
        $choices = array_map(strval(...), array_keys($setting->choices));
        if (! in_array($value, $choices, true)) {
            throw ValidationException::withMessages([
                'value' => "{$setting->key->label()} cannot be {$value} on this thermostat. Use ".
                    implode(', ', $choices).
                    '.',
            ]);
        }
        $row = Append::row(
            SettingEntry::class,
            $request->id(),
            $job,
            $request->crewMember(),
            static fn (): array => [
                'key' => $key,
                'value' => $value,
                'reason' => self::settingReason($setting, $value, trim($request->string('note')->toString())),
                'old_value' => $job
                    ->counting($job->settingEntries())
                    ->where('key', $key)
                    ->reorder()
                    ->orderByDesc('seq')
                    ->value('value'),
            ],
        );

        return new JsonResponse(['id' => $row->id], 201);
    }

    /** The derived reason; for an open question the source that was followed; for another value what the installer said. */
    private static function settingReason(DerivedSetting $setting, string $value, string $note): string
    {
        $followed = array_column($setting->open, 'source', 'value')[$value] ?? null;
        $reason =
            $followed === null
                ? ($value === $setting->value
                    ? $setting->reason
                    : 'As it stands in the thermostat.')
                : "Decided for: {$followed}.";

        return $note === '' ? $reason : "{$reason} {$note}";
    }

    public function move(RecordRequest $request): JsonResponse
    {
        $job = $request->job();
        $key = $request->string('move')->toString();
        $plan = House::of($job)->plan;
        $known = $plan === null ? [] : array_map(static fn (Move $m): string => $m->key, MoveList::of($plan));
        if (! in_array($key, $known, true)) {
            throw ValidationException::withMessages(['move' => "There is no move {$key} in this plan."]);
        }
        $done = $request->boolean('done');
        $row = Append::row(MoveTick::class, $request->id(), $job, $request->crewMember(), function (Job $job) use (
            $key,
            $done,
        ): array {
            if ($done) {
                $this->gateMove($job);
            }

            return ['move' => $key, 'done' => $done];
        });

        return new JsonResponse(['id' => $row->id], 201);
    }

    /** Before a conductor is touched: no stop, power off and proved dead, photographs or reasons for none. */
    private function gateMove(Job $job): void
    {
        PlanEdits::refuseStopped($job);
        $flag = PowerFlag::of($job);
        if (! $flag->isIsolated()) {
            throw ValidationException::withMessages([
                'power' => "Conductors are moved with the power off and proved dead, and {$flag->says()}.",
            ]);
        }
        $missing = Photographs::missing($job);
        if ($missing !== []) {
            throw ValidationException::withMessages([
                'photo' => 'Photograph the '.
                    implode(
                        ' and the ',
                        array_map(static fn (string $p): string => Place::from($p)->label(), $missing),
                    ).
                    ' before the first move, or say why not: in Survey, under Photographs.',
            ]);
        }
    }

    private function derived(Job $job, string $key): DerivedSetting
    {
        $plan = House::of($job)->plan ?? throw ValidationException::withMessages(['key' => 'Choose a thermostat first.']);
        foreach (Derivation::all($plan) as $setting) {
            if ($setting->key->value === $key) {
                return $setting;
            }
        }
        throw ValidationException::withMessages(['key' => "There is no setting {$key}."]);
    }
}
