<?php

declare(strict_types=1);

namespace App\Trace;

use App\Models\Job;
use App\Trace\Book\TraceBook;
use App\Web\Controller;
use App\Web\JsonResponse;
use Illuminate\Http\Request;
use Unionbit\Core\Tracing\Protocol\ComplaintEntry;

/** A complaint as it is typed, understood word by word; nothing is written. */
final class ComplaintController extends Controller
{
    private const MOST = 300;

    public function __invoke(Request $request, Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $text = mb_substr($request->string('text')->toString(), 0, self::MOST);
        $book = TraceBook::of($job);
        $entry = $book === null ? null : ComplaintEntry::parse($text, $book->words);

        return new JsonResponse([
            'complaint' => $entry->complaint ?? [],
            'history' => $entry->history ?? [],
            'left' => $entry->left ?? [],
        ]);
    }
}
