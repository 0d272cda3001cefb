<?php

declare(strict_types=1);

namespace App\Share;

use App\Models\Share\SharePart;
use App\Records\Photo\Photographs;
use App\Web\Controller;
use App\Web\Page;
use App\Words\Speaker;
use App\Words\Units;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What a link shows to whoever has it: read only, and no more than was chosen. */
final class SharedController extends Controller
{
    public function show(Request $request, string $token): Response
    {
        $link = ShareLinks::find($token);
        $job = $link?->job;
        if ($link === null || $job === null) {
            $ended = Page::of('Shared', ['share' => null])
                ->toResponse($request)
                ->setStatusCode(410);

            return self::closed($ended);
        }
        ShareLinks::opened($link);
        // Nobody is signed in: the words and figures are in the units of the crew whose house it is.
        $speaker = app(Speaker::class)->in($job->crew->units ?? Units::Us);
        app()->instance(Speaker::class, $speaker);

        return self::closed(
            Page::of('Shared', [
                ...SharedPage::props($job, $link->shown(), $request->getPathInfo()),
                'share' => ['label' => $link->label, 'endsAt' => $link->ends_at->toIso8601String()],
                'units' => $speaker->page(),
            ])->toResponse($request),
        );
    }

    public function photo(string $token, string $photo): Response
    {
        $link = ShareLinks::find($token);
        abort_unless($link?->job !== null && $link->shows(SharePart::Photographs), 404);
        $found = $link->job->photos()->whereNotNull('path')->findOrFail($photo);

        return self::closed(Photographs::picture($found));
    }

    /** Kept by nobody on the way, and found by no search. */
    private static function closed(Response $response): Response
    {
        $response->headers->set('Cache-Control', 'no-store, private');
        $response->headers->set('X-Robots-Tag', 'noindex, nofollow');

        return $response;
    }
}
