<?php

declare(strict_types=1);

namespace App\Records\SetUp;

use App\Web\Controller;
use App\Web\JsonResponse;

/** What is put on a house for a test, and put back. */
final class ThingsController extends Controller
{
    public function __invoke(ThingRequest $request): JsonResponse
    {
        $row = PutOn::record(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->thing(),
            $request->boolean('stands'),
        );

        return new JsonResponse(['id' => $row->id], 201);
    }
}
