<?php

declare(strict_types=1);

namespace App\Share;

use App\Crew\People\ShareRows;
use App\Models\Job;
use App\Models\Share\ShareLink;
use App\Models\Share\SharePart;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Words\Words;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The links that are out to a house, as its crew sees to them. */
final class SharesController extends Controller
{
    /** Days that a link may be good for. */
    private const DAYS = [1, 7, 30, 365];

    public function index(Job $job): JsonResponse
    {
        $this->authorize('share', $job);
        $values = static fn (SharePart $p): string => $p->value;

        return new JsonResponse([
            'parts' => array_map(
                static fn (SharePart $p): array => ['value' => $p->value, 'label' => $p->label()],
                SharePart::cases(),
            ),
            'advice' => array_map($values, SharePart::forAdvice()),
            'customer' => array_map($values, SharePart::forCustomer()),
            'days' => self::DAYS,
            'links' => ShareRows::ofJob($job),
        ]);
    }

    public function store(Request $request, Job $job): JsonResponse
    {
        $this->authorize('share', $job);
        $request->validate(
            [
                'label' => ['required', 'string', 'max:80'],
                'parts' => ['required', 'array', 'min:1'],
                'parts.*' => ['distinct', Rule::enum(SharePart::class)],
                'days' => ['required', 'integer:strict', Rule::in(self::DAYS)],
            ],
            [
                'label.required' => Words::of('share.for-whom'),
                'parts.required' => Words::of('share.nothing-chosen'),
            ],
        );
        $asked = (array) $request->input('parts');
        $parts = array_filter(
            SharePart::cases(),
            static fn (SharePart $p): bool => in_array($p->value, $asked, true),
        );
        $made = ShareLinks::make(
            $job,
            trim($request->string('label')->toString()),
            array_values($parts),
            $request->integer('days'),
            self::user($request),
        );

        return new JsonResponse(['id' => $made['link']->id, 'url' => $made['url']], 201);
    }

    /** Where the house itself was deleted too: its crew can still take the link back. */
    public function revoke(Request $request, int $share): JsonResponse
    {
        $link = ShareLink::query()->open()->findOrFail($share);
        $job = Job::query()->withTrashed()->findOrFail($link->job_id);
        $this->authorize('share', $job);
        ShareLinks::revoke($link, self::user($request));

        return new JsonResponse(['id' => $link->id]);
    }
}
