<?php

declare(strict_types=1);

namespace App\Prove\Coverage;

use App\House\House;
use App\House\Refused;
use App\Models\Job;
use App\Records\Progress\Progress;
use App\Web\Controller;
use App\Web\JsonResponse;
use Unionbit\Core\Words\Message;

/** What the proofs are worth so far, or how far working that out has come. */
final class CoverageController extends Controller
{
    /** Seconds that one request works; the screen asks again. */
    private const AT_MOST = 1.0;

    public function __invoke(Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $plan =
            House::of($job)->standing ??
            throw Refused::at('step', Message::of('prove.tells-controller.choose-thermostat-first'));
        $sheet = CoverageSheet::of($job, $plan, Progress::of($job), self::AT_MOST);

        return new JsonResponse([
            'done' => $sheet->done,
            'of' => $sheet->of,
            'coverage' => $sheet->coverage === null ? null : CoverageView::of($sheet->coverage),
        ]);
    }
}
