<?php

declare(strict_types=1);

namespace App\Records\Photo;

use App\House\Refused;
use App\Models\Job;
use App\Models\Photo;
use App\Models\User;
use App\Records\Append;
use App\Words\Words;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Intervention\Image\ImageManager;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Throwable;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/**
 * Photographs of a job: turned the right way up, drawn anew so that nothing but the picture is kept (no place, no
 * device), stored privately.
 */
final class Photographs
{
    public const MOST_BYTES = 10_000_000;

    /**
     * What can be read within 128 MB of memory, four bytes a point beside the rest; a device sends less
     * (lib/picture.ts).
     */
    private const MOST_PIXELS = 12_500_000;

    private const LONGEST_SIDE = 2400;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    public const PLACES = ['wall', 'indoor', 'outdoor'];

    public static function keep(Job $job, User $user, string $id, string $place, UploadedFile $file): Photo
    {
        $name = $file->getClientOriginalName();
        self::check($file, $name);
        $path = "photos/{$job->id}/{$id}.jpg";
        try {
            // Reduced first and turned then: only the reduced picture is ever in memory twice.
            $image = ImageManager::gd(autoOrientation: false, strip: true)
                ->read($file->getPathname())
                ->scaleDown(self::LONGEST_SIDE, self::LONGEST_SIDE)
                ->orient();
            $picture = $image->toJpeg(82)->toString();
        } catch (Throwable) {
            throw Refused::at('photo', Message::of('records.photographs.damaged-no-picture-could-be', name: $name));
        }
        $photo = Append::row(Photo::class, $id, $job, $user, static function () use (
            $path,
            $picture,
            $place,
            $image,
        ): array {
            self::write($path, $picture);

            return ['place' => $place, 'path' => $path, 'width' => $image->width(), 'height' => $image->height()];
        });
        if ($photo->path !== null && ! Storage::disk('local')->exists($photo->path)) {
            self::write($photo->path, $picture);
        }

        return $photo;
    }

    /**
     * What could not be written whole is not acknowledged: the photograph stays on the device, and can be sent again.
     */
    private static function write(string $path, string $picture): void
    {
        $disk = Storage::disk('local');
        try {
            $whole = $disk->put($path, $picture) && $disk->size($path) === strlen($picture);
        } catch (Throwable $problem) {
            report($problem);
            $whole = false;
        }
        if (! $whole) {
            abort(503, Words::of('records.photographs.photograph-could-not-be-kept'));
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
        $size = @getimagesize($file->getPathname());
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw $bad(Message::of('records.photographs.no-photograph-whatever-name-says'));
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw $bad(
                Message::of('records.photographs.has-points-allowed-at-most', width: $size[0], height: $size[1]),
            );
        }
    }
}
