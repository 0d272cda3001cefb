<?php

declare(strict_types=1);

namespace App\Handover;

use App\Errand\ErrandAnswer;
use App\Errand\Errands;
use App\House\Download;
use App\House\JobMark;
use App\Models\Job;
use App\Models\Record\Reading;
use App\Models\Record\Signature;
use App\Records\Append;
use App\Records\Reading\JointReasons;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Web\PersonsDay;
use App\Words\Words;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Symfony\Component\Serializer\Encoder\CsvEncoder;

/** Closes a job: only with every line done. */
final class HandoverController extends Controller
{
    public function __invoke(Request $request, Job $job): JsonResponse
    {
        $this->authorize('decide', $job);
        $request->validate(['unsigned' => ['sometimes', 'boolean']]);
        $job = HandOver::of($job, $request->boolean('unsigned'));

        return new JsonResponse(['handedOverAt' => $job->handed_over_at?->toIso8601String()]);
    }

    /** A signature drawn on the screen: strokes of points from 0 to 1000, with the name under it. */
    public function sign(Request $request, Job $job): JsonResponse
    {
        $this->authorize('keep', $job);
        $this->authorize('work', $job);
        $request->validate(
            [
                'id' => ['required', 'ulid'],
                'role' => ['required', Rule::in(Signature::ROLES)],
                'name' => ['required', 'string', 'max:80'],
                'strokes' => [
                    'required',
                    static fn (string $field, mixed $strokes, Closure $fail) => Signature::areStrokes($strokes)
                        ? null
                        : $fail(Words::of('handover.signature.allowed')),
                ],
            ],
            [
                'name.required' => Words::of('handover.signature.who'),
                'strokes.required' => Words::of('handover.signature.empty'),
            ],
        );
        if ($request->string('role')->toString() !== 'customer') {
            $this->authorize('decide', $job);
        }
        $row = Append::row(
            Signature::class,
            $request->string('id')->toString(),
            $job,
            self::user($request),
            static fn (): array => [
                'role' => $request->string('role')->toString(),
                'name' => trim($request->string('name')->toString()),
                'strokes' => json_encode($request->input('strokes'), JSON_THROW_ON_ERROR),
            ],
        );

        return new JsonResponse(['id' => $row->id], 201);
    }

    /** Every reading with its expectation, verdict and reason. */
    public function readings(Request $request, Job $job): Response
    {
        $this->authorize('view', $job);
        $reasons = JointReasons::of($job);
        $rows = $job
            ->readings()
            ->with('user')
            ->get()
            ->map(
                static fn (Reading $r): array => [
                    'at' => $r->at->toIso8601String(),
                    'by' => $r->writtenBy(),
                    'stage' => $r->stage->value,
                    'step' => $r->step ?? '',
                    'mode' => $r->mode->value,
                    'from' => $r->a,
                    'to' => $r->b,
                    'value' => $r->value ?? 'OL',
                    'low' => $r->expected['low'] ?? '',
                    'high' => $r->expected['high'] ?? '',
                    'outcome' => $r->outcome->value,
                    'reason' => $reasons->reason($r),
                    'simulated' => $r->simulated ? 'simulated' : '',
                    'corrects' => $r->corrects_id ?? '',
                ],
            )
            ->all();
        $csv = (new CsvEncoder([CsvEncoder::ESCAPE_FORMULAS_KEY => true]))->encode(
            JobMark::rows($job, array_values($rows)),
            'csv',
        );

        return Download::of($request, $job, 'readings.csv', 'text/csv; charset=utf-8', $csv);
    }

    /** The record as a PDF, A4 or Letter: at once, for a link. */
    public function pdf(Request $request, Job $job): Response
    {
        $this->authorize('view', $job);
        $paper = $request->query('paper') === 'letter' ? 'letter' : 'a4';
        $pdf = MakePdf::of($job, PersonsDay::zone($request), $paper);

        return Download::of($request, $job, '.pdf', 'application/pdf', $pdf);
    }

    /** The same behind the request, for whoever waits on the screen. */
    public function makePdf(Request $request, Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $request->validate(['id' => ['required', 'ulid'], 'paper' => ['required', Rule::in(['a4', 'letter'])]]);
        $errand = Errands::begin(
            MakePdf::kind(),
            $request->string('id')->toString(),
            self::user($request),
            $job->id,
            [
                'paper' => $request->string('paper')->toString(),
                'zone' => PersonsDay::zone($request)->getName(),
            ],
        );

        return ErrandAnswer::of($errand);
    }
}
