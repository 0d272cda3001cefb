<?php

declare(strict_types=1);

namespace App\Trace;

use App\Models\Job;
use App\Records\Power\PowerFlag;
use App\Records\SetUp\PutOn;
use App\Records\SetUp\SetupStrip;
use App\Stage\KeptPage;
use App\Trace\Book\TraceBook;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Web\Page;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Inertia\Response;
use Unionbit\Core\Tracing\Protocol\Given;
use Unionbit\Core\Tracing\Protocol\Reading;

/** The stage at which a fault is traced. */
final class TraceController extends Controller
{
    public function show(Job $job): Response|RedirectResponse
    {
        $this->authorize('view', $job);
        $page = KeptPage::of($job, 'Trace', static function () use ($job): ?array {
            $book = TraceBook::of($job);

            return $book === null ? null : ['Trace', TracePage::props($job, $book)];
        });

        // What hangs there has to be known first.
        return $page === null ? redirect()->route('job.prove', ['job' => $job->id]) : Page::of(...$page);
    }

    public function store(TraceRowRequest $request): JsonResponse
    {
        $row = RecordTrace::record(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->moment(),
            $request->body(),
            $request->nullableString('call'),
        );

        return new JsonResponse(['id' => $row->id], 201);
    }

    /** The set-up of a test put on in one tap: what it does not ask for goes back, what it asks for is put on. */
    public function setUp(TraceSetupRequest $request): JsonResponse
    {
        $job = $request->job();
        $user = $request->crewMember();
        $book = TraceBook::of($job);
        $wanted =
            $book === null
                ? []
                : $book->toStand((new Reading($book->words))->setup(new Given($request->setup(), '/setup')))->all;
        DB::transaction(static function () use ($job, $user, $book, $wanted): void {
            if ($book === null) {
                return;
            }
            $standing = SetupStrip::of($job)->all;
            foreach (array_diff_key($standing, $wanted) as $thing) {
                if ($thing->kind()?->isOfTest() === true) {
                    PutOn::record($job, $user, (string) Str::ulid(), $thing, false);
                }
            }
            foreach (array_diff_key($wanted, $standing) as $thing) {
                PutOn::record($job, $user, (string) Str::ulid(), $thing, true);
            }
        });

        return new JsonResponse(['power' => PowerFlag::of($job)->state->value]);
    }
}
