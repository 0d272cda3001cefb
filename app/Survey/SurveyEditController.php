<?php

declare(strict_types=1);

namespace App\Survey;

use App\Document\EditDocument;
use App\Web\Controller;
use App\Web\JsonResponse;

/** Edits of a job's survey. */
final class SurveyEditController extends Controller
{
    public function __invoke(SurveyEditRequest $request, EditDocument $edit): JsonResponse
    {
        return $edit->answer($request);
    }
}
