<?php

declare(strict_types=1);

namespace App\Records\Photo;

use App\Errand\ErrandAnswer;
use App\Errand\Errands;
use App\House\Refused;
use App\Models\Job;
use App\Models\Photo;
use App\Models\PhotoMark;
use App\Records\Append;
use App\Web\Controller;
use App\Web\JsonResponse;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Unionbit\Core\Words\Message;

/** Photographs of a job, their marks, and the reasons for having none. */
final class PhotosController extends Controller
{
    public function store(PhotoRequest $request): JsonResponse
    {
        $file = $request->file('photo');
        if (! ($file instanceof UploadedFile)) {
            throw Refused::at('photo', Message::of('records.photos-controller.no-photograph-arrived-choose-one'));
        }
        Photographs::check($file, $file->getClientOriginalName());
        $errand = Errands::begin(
            DrawPhoto::kind(),
            $request->id(),
            $request->crewMember(),
            $request->job()->id,
            ['photo' => $request->id(), 'place' => $request->string('place')->toString()],
            [$file],
            anew: Photographs::isLost($request->id()),
        );

        return ErrandAnswer::of($errand, 201);
    }

    public function skip(PhotoRequest $request): JsonResponse
    {
        $reason = trim($request->string('reason')->toString());
        if ($reason === '') {
            throw Refused::at('reason', Message::of('records.photos-controller.say-why-there-no-photograph'));
        }
        $photo = Append::row(
            Photo::class,
            $request->id(),
            $request->job(),
            $request->crewMember(),
            static fn (): array => ['place' => $request->string('place')->toString(), 'skipped' => $reason],
        );

        return new JsonResponse(PhotoView::of($photo), 201);
    }

    public function mark(PhotoRequest $request): JsonResponse
    {
        $job = $request->job();
        $photo =
            $job
                ->photos()
                ->whereNotNull('path')
                ->find($request->string('photo_id')->toString()) ??
            throw Refused::at('photo_id', Message::of('records.photos-controller.there-no-such-photograph-in'));
        $end = $request->string('end')->toString();
        if (! in_array($end, PhotoView::ends($job, $photo->place), true)) {
            throw Refused::at(
                'end',
                Message::of(
                    'records.photos-controller.there-no-conductor-end-at',
                    end: $end,
                    place: $photo->place,
                    ends: PhotoView::ends($job, $photo->place),
                ),
            );
        }
        $takesBack = $request->nullableString('takes_back');
        if ($takesBack !== null && ! $photo->marks()->whereKey($takesBack)->exists()) {
            throw Refused::at('takes_back', Message::of('records.photos-controller.mark-not-on-photograph'));
        }
        $row = Append::row(
            PhotoMark::class,
            $request->id(),
            $job,
            $request->crewMember(),
            static fn (): array => [
                'photo_id' => $photo->id,
                'x' => $request->float('x'),
                'y' => $request->float('y'),
                'end' => $end,
                'takes_back_id' => $takesBack,
            ],
        );

        return new JsonResponse(['id' => $row->id], 201);
    }

    public function show(Job $job, string $photo): StreamedResponse
    {
        $this->authorize('view', $job);
        $found = $job->photos()->whereNotNull('path')->findOrFail($photo);

        return Photographs::picture($found);
    }
}
