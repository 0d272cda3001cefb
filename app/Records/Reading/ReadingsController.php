<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\Records\Taken;
use App\Web\Controller;
use App\Web\JsonResponse;

/** What a reading should be, and readings as they are taken. */
final class ReadingsController extends Controller
{
    public function expect(ReadingRequest $request): JsonResponse
    {
        $place = $request->place();

        $expected = $place->context($request->job())->expect($place->mode, $place->a, $place->b);

        return new JsonResponse([...$expected->toArray(), 'harms' => $expected->harms()]);
    }

    public function store(ReadingRequest $request): JsonResponse
    {
        $reading = RecordReading::record(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            RunningProof::place($request->job(), $request->place()),
            $request->text('value'),
            $request->nullableString('corrects'),
            Taken::of($request),
        );

        return new JsonResponse(ReadingView::of($reading), 201);
    }
}
