<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\House;
use App\House\JobFiles;
use App\Models\Job;
use App\Models\Record\Measurement;
use App\Models\Record\ReadingMark;
use App\Records\Append;
use App\Records\Progress;
use App\Records\Reading\ReadingRequest;
use App\Records\RecordRequest;
use App\Records\Step\StepSheet;
use App\Web\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Proving\Judge\Pattern;
use Unionbit\Core\Proving\Route\Separation;
use Unionbit\Core\Proving\Step\Step;

/** Beside the proofs: what a test would tell, what is measured beside the circuit, and readings that nothing explains. */
final class ChecksController extends Controller
{
    private const A_DAY = 86400;

    /** What this step cannot tell apart if it fails, before it is done. */
    public function cannotTell(Request $request, Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $key = $request->string('step')->toString();
        $steps = House::of($job)->stepList();
        $step =
            array_values(array_filter($steps, static fn (Step $s): bool => $s->key() === $key))[0] ??
            throw ValidationException::withMessages(['step' => "There is no proving step {$key} for this house."]);
        $plan =
            House::of($job)->plan ?? throw ValidationException::withMessages(['step' => 'Choose a thermostat first.']);
        $groups = Cache::remember(
            'cannot-tell/'.StepSheet::key($plan)."/{$key}",
            self::A_DAY,
            static function () use ($plan, $step, $steps): array {
                $others = array_values(
                    array_filter($steps, static fn (Step $s): bool => $s->call === $step->call && $s !== $step),
                );
                $groups = (new Separation($plan->circuit(), app(JobFiles::class)->faults()))->ofStep($step, $others);
                $labels = array_combine(
                    array_map(static fn (Step $s): string => $s->key(), $others),
                    array_map(static fn (Step $s): string => $s->method->label(), $others),
                );

                return array_map(
                    static fn (array $g): array => [
                        'places' => $g['places'],
                        'told' => $g['told'] === null ? null : ['step' => $g['told'], 'label' => $labels[$g['told']]],
                    ],
                    $groups,
                );
            },
        );

        return new JsonResponse(['groups' => $groups]);
    }

    /** What one pair of points would read with each single fault: those still in question once something has failed, else all. */
    public function tells(ReadingRequest $request): JsonResponse
    {
        $job = $request->job();
        $place = $request->place();
        if (! in_array($place->mode, [MeterMode::Volts, MeterMode::Ohms], true)) {
            throw ValidationException::withMessages(['mode' => 'Volts or ohms can be asked so.']);
        }
        $context = $place->context($job);
        $context->expect($place->mode, $place->a, $place->b);
        $faults = app(JobFiles::class)->faults();
        $seen = Progress::of($job)->seen();
        $failing = array_filter($seen, static fn (array $call): bool => in_array(false, $call['signs'], true)) !== [];
        $suspects = $failing ? array_column((new Pattern($context->circuit, $faults))->explain($seen), 'id') : null;
        $groups = (new Separation($context->circuit, $faults))->ofReading(
            $context->setup,
            $place->mode,
            $place->a,
            $place->b,
            $suspects,
        );

        return new JsonResponse([
            'suspects' => $suspects === null ? null : count($suspects),
            'unit' => $place->mode->unit(),
            'groups' => $groups,
        ]);
    }

    /** A temperature split or an airflow, kept with what the figure makes of it. */
    public function measure(RecordRequest $request): JsonResponse
    {
        $job = $request->job();
        $key = $request->string('figure')->toString();
        $figure = in_array($key, Measurement::FIGURES, true) ? Figures::named($key) : null;
        if ($figure === null) {
            throw ValidationException::withMessages([
                'figure' => "{$key} is not measured here. Use ".implode(' or ', Measurement::FIGURES).'.',
            ]);
        }
        $call = $request->nullableString('call');
        $known = array_keys(Progress::of($job)->calls());
        if ($call !== null && ! in_array($call, $known, true)) {
            throw ValidationException::withMessages([
                'call' => "This house has no call {$call}. It has ".implode(', ', $known).'.',
            ]);
        }
        try {
            $given = [];
            foreach ((array) $request->input('values') as $input => $value) {
                $given[(string) $input] = $value;
            }
            $plan = House::of($job)->plan;
            $values =
                Figures::values($figure, $given, $plan) ??
                throw ValidationException::withMessages(['values' => 'Fill in every field that is not optional.']);
        } catch (InvalidData $problem) {
            throw ValidationException::withMessages([
                ltrim($problem->pointer, '/') => ltrim(
                    str_replace("{$problem->pointer}: ", '', $problem->getMessage()),
                    '/',
                ),
            ]);
        }
        $result = $figure->compute($values, $plan);
        $row = Append::row(
            Measurement::class,
            $request->id(),
            $job,
            $request->crewMember(),
            static fn (): array => [
                'figure' => $key,
                'call' => $call,
                'inputs' => $values,
                'lines' => $result->lines,
                'tone' => $result->tone,
                'verdict' => $result->verdict,
            ],
        );

        return new JsonResponse(['id' => $row->id, 'tone' => $row->tone, 'verdict' => $row->verdict], 201);
    }

    /** Flags a reading as unexplained, or takes the flag off with the explanation. */
    public function mark(RecordRequest $request): JsonResponse
    {
        $job = $request->job();
        $reading = $request->string('reading')->toString();
        $unexplained = $request->boolean('unexplained');
        $note = trim($request->string('note')->toString());
        if (! $job->readings()->whereKey($reading)->exists()) {
            throw ValidationException::withMessages(['reading' => 'This reading is not in this job.']);
        }
        if (! $unexplained && $note === '') {
            throw ValidationException::withMessages(['note' => 'Say what explains it.']);
        }
        $row = Append::row(
            ReadingMark::class,
            $request->id(),
            $job,
            $request->crewMember(),
            static fn (): array => ['reading_id' => $reading, 'unexplained' => $unexplained, 'note' => $note],
        );

        return new JsonResponse(['id' => $row->id], 201);
    }
}
