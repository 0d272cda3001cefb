<?php

declare(strict_types=1);

namespace App\Records\Live;

use App\Records\Power\PowerFlag;
use App\Web\Controller;
use App\Web\JsonResponse;

/** The power flag of a job, raised or lowered. */
final class PowerController extends Controller
{
    public function __invoke(PowerRequest $request): JsonResponse
    {
        RaisePowerFlag::to(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->state(),
            $request->typed(),
            $request->boolean('meter_proved'),
            $request->boolean('despite'),
        );

        return new JsonResponse(PowerFlag::of($request->job())->toArray(), 201);
    }
}
