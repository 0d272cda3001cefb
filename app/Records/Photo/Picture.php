<?php

declare(strict_types=1);

namespace App\Records\Photo;

use App\Words\Words;
use Illuminate\Support\Facades\Storage;
use Intervention\Image\ImageManager;
use Throwable;
use Unionbit\Core\Words\Message;

/**
 * A picture as it is kept, whatever way it came: turned the right way up, no larger than it need be, drawn anew so
 * that nothing but what is seen is in it (no place, no device, nothing behind its end).
 */
final readonly class Picture
{
    /**
     * What can be read within 128 MB of memory, four bytes a point beside the rest; a device sends less
     * (lib/picture.ts).
     */
    private const MOST_PIXELS = 12_500_000;

    private const LONGEST_SIDE = 2400;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    private function __construct(public string $jpeg, public int $width, public int $height)
    {
    }

    /** @return ?Message why a file is none that can be kept, by its head alone */
    public static function problem(string $file): ?Message
    {
        $size = @getimagesize($file);

        return match (true) {
            $size === false || ! in_array($size[2], self::TYPES, true) => Message::of(
                'records.photographs.no-photograph-whatever-name-says',
            ),
            $size[0] * $size[1] > self::MOST_PIXELS => Message::of(
                'records.photographs.has-points-allowed-at-most',
                width: $size[0],
                height: $size[1],
            ),
            default => null,
        };
    }

    /** @return ?self drawn anew; null where what is there cannot be drawn */
    public static function drawn(string $file): ?self
    {
        try {
            // Reduced first and turned then: only the reduced picture is ever in memory twice.
            $image = ImageManager::gd(autoOrientation: false, strip: true)
                ->read($file)
                ->scaleDown(self::LONGEST_SIDE, self::LONGEST_SIDE)
                ->orient();

            return new self($image->toJpeg(82)->toString(), $image->width(), $image->height());
        } catch (Throwable) {
            return null;
        }
    }

    /**
     * What could not be written whole is not acknowledged: the photograph stays on the device, and can be sent again.
     */
    public function write(string $path): void
    {
        $disk = Storage::disk('local');
        try {
            $whole = $disk->put($path, $this->jpeg) && $disk->size($path) === strlen($this->jpeg);
        } catch (Throwable $problem) {
            report($problem);
            $whole = false;
        }
        if (! $whole) {
            abort(503, Words::of('records.photographs.photograph-could-not-be-kept'));
        }
    }
}
