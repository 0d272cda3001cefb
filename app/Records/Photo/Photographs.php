<?php

declare(strict_types=1);

namespace App\Records\Photo;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Photo;
use App\Records\Append;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Throwable;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/** Photographs of a job: drawn anew, stored privately. */
final class Photographs
{
    public const MOST_BYTES = 10_000_000;

    public const PLACES = ['wall', 'indoor', 'outdoor'];

    public static function keep(Job $job, User $user, string $id, string $place, UploadedFile $file): Photo
    {
        $name = $file->getClientOriginalName();
        self::check($file, $name);
        $path = "photos/{$job->id}/{$id}.jpg";
        $picture =
            Picture::drawn($file->getPathname()) ??
            throw Refused::at('photo', Message::of('records.photographs.damaged-no-picture-could-be', name: $name));
        // Onto the disk before its row, and before anybody waits for the lock.
        $picture->write($path);
        try {
            return Append::row(
                Photo::class,
                $id,
                $job,
                $user,
                static fn (): array => [
                    'place' => $place,
                    'path' => $path,
                    'width' => $picture->width,
                    'height' => $picture->height,
                ],
            );
        } catch (Throwable $problem) {
            if (Photo::query()->where('path', $path)->doesntExist()) {
                Storage::disk('local')->delete($path);
            }
            throw $problem;
        }
    }

    /** Kept by the browser of whoever saw it: a photograph never changes. */
    public static function picture(Photo $photo): StreamedResponse
    {
        return Storage::disk('local')->response((string) $photo->path, "{$photo->place}.jpg", [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age=86400, immutable',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    /** Its row stands, and its picture is not on the disk: sent again, it is written again. */
    public static function isLost(string $id): bool
    {
        $path = Photo::query()->find($id)?->path;

        return $path !== null && ! Storage::disk('local')->exists($path);
    }

    /** @return list<string> places that a photograph, or a reason for none, is still asked of before the first move */
    public static function missing(Job $job): array
    {
        if ($job->isPractice()) {
            return [];
        }
        $seen = $job->photos()->reorder()->distinct()->pluck('place');

        return array_values(
            array_filter(['wall', 'indoor'], static fn (string $place): bool => ! $seen->contains($place)),
        );
    }

    /** @throws Refused where it is too large, did not arrive whole, or is no photograph */
    public static function check(UploadedFile $file, string $name): void
    {
        $bad = static fn (Message $why): Refused => Refused::at(
            'photo',
            Message::of('records.photographs.bad', name: $name, why: $why),
        );
        if (
            in_array($file->getError(), [UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE], true) ||
            $file->getSize() > self::MOST_BYTES
        ) {
            throw $bad(
                $file->getError() === UPLOAD_ERR_OK
                    ? Message::of(
                        'records.photographs.too-large',
                        megabytes: Quantity::number($file->getSize() / 1_000_000, 1),
                    )
                    : Message::of('records.photographs.larger-than-server-takes'),
            );
        }
        if (! $file->isValid()) {
            throw $bad(Message::of('records.photographs.did-not-arrive-whole-send'));
        }
        $problem = Picture::problem($file->getPathname());
        if ($problem !== null) {
            throw $bad($problem);
        }
    }
}
