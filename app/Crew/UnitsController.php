<?php

declare(strict_types=1);

namespace App\Crew;

use App\Web\Controller;
use App\Web\JsonResponse;
use App\Words\Units;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The units that a crew reads and types in: everybody of it sees the change, what is recorded stays as it is. */
final class UnitsController extends Controller
{
    public function store(Request $request): JsonResponse
    {
        $request->validate(['units' => ['required', Rule::enum(Units::class)]]);
        $crew = self::user($request)->crew;
        $crew->units = Units::from($request->string('units')->toString());
        $crew->save();

        return new JsonResponse(['units' => $crew->units]);
    }
}
