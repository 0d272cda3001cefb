<?php

declare(strict_types=1);

namespace App\Errand;

use App\Models\Work\Errand;
use App\Models\Work\ErrandState;
use App\Web\JsonResponse;

/**
 * What is said of an errand to whoever waits: 202 with how far it is, then what it brought, or what was wrong. A queue
 * that runs at once answers the first request with the last of these.
 */
final class ErrandAnswer
{
    public static function of(Errand $errand, int $done = 200): JsonResponse
    {
        return match ($errand->state) {
            ErrandState::Done => new JsonResponse(
                [
                    ...$errand->result ?? [],
                    ...isset($errand->result['file']) ? ['file' => "/errands/{$errand->id}/file"] : [],
                ],
                $done,
            ),
            ErrandState::Failed => new JsonResponse(
                ['message' => array_values($errand->errors ?? [])[0][0] ?? '', 'errors' => $errand->errors],
                $errand->status === 200 ? 500 : $errand->status,
            ),
            default => new JsonResponse(
                [
                    'errand' => $errand->id,
                    'state' => $errand->state->value,
                    'done' => $errand->done,
                    'of' => $errand->of,
                ],
                202,
            ),
        };
    }
}
