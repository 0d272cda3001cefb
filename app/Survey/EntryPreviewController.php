<?php

declare(strict_types=1);

namespace App\Survey;

use App\House\ConductorView;
use App\Models\Job;
use App\Survey\Edit\SurveyDraft;
use App\Web\Controller;
use App\Web\JsonResponse;
use Illuminate\Http\Request;
use Unionbit\Core\Wiring\Entry\ConductorEntry;
use Unionbit\Core\Wiring\Entry\EntryProblem;

/** What a conductor line is understood as, while it is typed: its grammar exists once, here on the server. */
final class EntryPreviewController extends Controller
{
    public function __invoke(Request $request, Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $request->validate([
            'cable' => ['required', 'string', 'max:2'],
            'line' => ['sometimes', 'nullable', 'string', 'max:120'],
            'lines' => ['sometimes', 'array', 'max:50'],
            'lines.*' => ['string', 'max:120'],
        ]);
        $understood = static fn (string $line): array => self::understood(
            SurveyDraft::of($job)->parse($request->string('cable')->toString(), $line),
        );
        $lines = $request->input('lines');

        return new JsonResponse(
            is_array($lines)
                ? array_map(
                    static fn (mixed $line): array => $understood(is_string($line) ? $line : ''),
                    array_values($lines),
                )
                : $understood($request->string('line')->toString()),
        );
    }

    /** @return array<string, mixed> */
    private static function understood(ConductorEntry $entry): array
    {
        return [
            'number' => $entry->number,
            ...ConductorView::insulation($entry->colour, $entry->stripe),
            'near' => $entry->near?->toArray(),
            'far' => $entry->far?->toArray(),
            'evidence' => ConductorView::evidence($entry->evidence),
            'complete' => $entry->isComplete(),
            'condition' => ConductorView::condition($entry->condition, $entry->touches),
            'loopOhms' => $entry->loopOhms,
            'problems' => array_map(static fn (EntryProblem $p): array => $p->toArray(), $entry->problems),
        ];
    }
}
