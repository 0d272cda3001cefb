<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Append;
use App\Models\Job;
use App\Models\Reading;
use App\Models\Signature;
use App\Models\User;
use App\Pages\HandoverPage;
use App\Support\Progress;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use LogicException;
use Symfony\Component\Serializer\Encoder\CsvEncoder;

/** Closes a job: only with every line done. */
final class HandoverController extends Controller
{
    public function __invoke(Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        if ($job->handed_over_at === null) {
            $missing = array_values(array_filter(Progress::of($job)->handover(), static fn (array $l): bool => ! $l['done']));
            if ($missing !== []) {
                throw ValidationException::withMessages(['handover' => 'Not yet: '.implode(', ', array_column($missing, 'label')).'.']);
            }
            $job->handed_over_at = now();
            $job->save();
        }

        return new JsonResponse(['handedOverAt' => $job->handed_over_at->toIso8601String()]);
    }

    /** A signature drawn on the screen: strokes of points from 0 to 1000, with the name under it. */
    public function sign(Request $request, Job $job): JsonResponse
    {
        $this->authorize('work', $job);
        $request->validate([
            'id' => ['required', 'ulid'], 'role' => ['required', Rule::in(['installer', 'customer'])], 'name' => ['required', 'string', 'max:80'],
            'strokes' => ['required', 'array', 'min:1', 'max:60'], 'strokes.*' => ['array', 'min:2', 'max:600'], 'strokes.*.*' => ['array', 'size:2'], 'strokes.*.*.*' => ['integer', 'between:0,1000'],
        ], ['name.required' => 'Write the name of who signs.', 'strokes.required' => 'Sign in the field first.']);
        $row = Append::row(Signature::class, $request->string('id')->toString(), $job, self::user($request), static fn (): array => [
            'role' => $request->string('role')->toString(), 'name' => trim($request->string('name')->toString()), 'strokes' => json_encode($request->input('strokes'), JSON_THROW_ON_ERROR),
        ]);

        return new JsonResponse(['id' => $row->id], 201);
    }

    /** Every reading with its expectation, verdict and reason. */
    public function readings(Job $job): Response
    {
        $this->authorize('view', $job);
        $rows = $job->readings()->with('user')->get()->map(static fn (Reading $r): array => [
            'at' => $r->at->toIso8601String(), 'by' => $r->user->name, 'stage' => $r->stage, 'step' => $r->step ?? '', 'mode' => $r->mode, 'from' => $r->a, 'to' => $r->b, 'value' => $r->value ?? 'OL',
            'low' => $r->expected['low'] ?? '', 'high' => $r->expected['high'] ?? '', 'outcome' => $r->outcome, 'reason' => $r->reason, 'simulated' => $r->simulated ? 'simulated' : '', 'corrects' => $r->corrects_id ?? '',
        ])->all();
        $csv = (new CsvEncoder([CsvEncoder::ESCAPE_FORMULAS_KEY => true]))->encode(array_values($rows), 'csv');

        return new Response($csv, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.self::slug($job).'-readings.csv"']);
    }

    /** The record as a PDF, A4 or Letter. */
    public function pdf(Request $request, Job $job): Response
    {
        $this->authorize('view', $job);
        $pdf = new Dompdf(new Options(['isRemoteEnabled' => false, 'defaultFont' => 'DejaVu Sans']));
        $pdf->loadHtml(view('handover', ['page' => HandoverPage::props($job), 'job' => $job])->render());
        $pdf->setPaper($request->string('paper')->toString() === 'letter' ? 'letter' : 'a4');
        $pdf->render();

        return new Response((string) $pdf->output(), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="'.self::slug($job).'.pdf"']);
    }

    private static function slug(Job $job): string
    {
        return Str::slug("{$job->site} {$job->system->name}");
    }

    private static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new LogicException('Nobody is signed in.');
    }
}
