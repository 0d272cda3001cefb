<?php

declare(strict_types=1);

namespace App\Prove;

use App\Models\Record\Waiver;
use App\Records\Append;
use App\Records\Progress\Progress;
use App\Web\Controller;
use App\Web\JsonResponse;

/** Calls that are left unproved. */
final class WaiversController extends Controller
{
    public function __invoke(WaiverRequest $request): JsonResponse
    {
        $job = $request->job();
        $waiver = ['call' => $request->text('call'), 'reason' => $request->text('note')];
        Progress::of($job)->refuseUnknownCall($waiver['call']);
        $write = static fn (): array => $waiver;
        $row = Append::row(Waiver::class, $request->id(), $job, $request->crewMember(), $write);

        return new JsonResponse(['id' => $row->id], 201);
    }
}
