<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\Models\Kind\StepMoment;
use App\Records\Taken;
use App\Web\Controller;
use App\Web\JsonResponse;

/** Proving steps and what is seen of them. */
final class StepsController extends Controller
{
    public function step(StepRequest $request): JsonResponse
    {
        $row = RunStep::record(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->text('step'),
            StepMoment::from($request->text('event')),
        );

        return new JsonResponse(['id' => $row->id], 201);
    }

    public function sign(SignRequest $request): JsonResponse
    {
        $row = ObserveSign::record(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->text('step'),
            $request->text('sign'),
            $request->boolean('seen'),
            $request->how(),
            Taken::of($request),
        );

        return new JsonResponse(['id' => $row->id, 'outcome' => $row->outcome, 'reason' => $row->reason], 201);
    }
}
