<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\House\Refused;
use App\Models\Record\ReadingMark;
use App\Records\Append;
use App\Web\Controller;
use App\Web\JsonResponse;
use Unionbit\Core\Words\Message;

/** Flags a reading as unexplained, or takes the flag off with the explanation. */
final class ReadingMarksController extends Controller
{
    public function __invoke(ReadingMarkRequest $request): JsonResponse
    {
        $job = $request->job();
        $mark = [
            'reading_id' => $request->text('reading'),
            'unexplained' => $request->boolean('unexplained'),
            'note' => $request->text('note'),
        ];
        if (! $job->readings()->whereKey($mark['reading_id'])->exists()) {
            throw Refused::at('reading', Message::of('records.reading-marks-controller.reading-not-in-job'));
        }
        if (! $mark['unexplained'] && $mark['note'] === '') {
            throw Refused::at('note', Message::of('records.reading-marks-controller.say-what-explains'));
        }
        $write = static fn (): array => $mark;
        $row = Append::row(ReadingMark::class, $request->id(), $job, $request->crewMember(), $write);

        return new JsonResponse(['id' => $row->id], 201);
    }
}
