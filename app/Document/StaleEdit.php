<?php

declare(strict_types=1);

namespace App\Document;

use App\Models\Job;
use App\Models\JobRevision;
use App\Web\JsonResponse;
use Exception;
use Illuminate\Contracts\Debug\ShouldntReport;
use Illuminate\Http\Request;
use Unionbit\Core\Words\Message;

/** Somebody else changed the job meanwhile: nothing is written, both sides are told. */
final class StaleEdit extends Exception implements ShouldntReport
{
    public function __construct(private readonly Job $job, private readonly int $yours)
    {
        parent::__construct("Job {$job->id} was changed meanwhile.");
    }

    public function render(Request $request): JsonResponse
    {
        $since = $this->job->revisions()->where('version', '>', $this->yours)->with('user')->get();

        return new JsonResponse(
            [
                'message' => Message::of('document.stale-edit.somebody-else-changed-job-while'),
                'yours' => ['version' => $this->yours, 'edit' => $request->except(['version'])],
                'theirs' => [
                    'version' => $this->job->version,
                    'survey' => $this->job->survey,
                    'plan' => $this->job->plan,
                    'changes' => $since
                        ->map(static fn (JobRevision $r): array => ['what' => $r->what, 'by' => $r->user->name])
                        ->all(),
                ],
            ],
            409,
        );
    }
}
