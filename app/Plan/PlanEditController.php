<?php

declare(strict_types=1);

namespace App\Plan;

use App\Document\EditDocument;
use App\Plan\Edit\PlanEditRequest;
use App\Web\Controller;
use App\Web\JsonResponse;

/** Edits of a job's plan. */
final class PlanEditController extends Controller
{
    public function __invoke(PlanEditRequest $request, EditDocument $edit): JsonResponse
    {
        return $edit->answer($request);
    }
}
