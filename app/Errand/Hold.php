<?php

declare(strict_types=1);

namespace App\Errand;

use App\Models\Work\Errand;
use Illuminate\Support\Facades\Storage;

/**
 * Whoever does an errand holds a file of it. The system lets go of it when the process ends, however it ends: that is
 * how work that was cut off is told from work that takes long.
 */
final class Hold
{
    /** @param  resource  $file */
    private function __construct(private readonly string $path, private mixed $file)
    {
    }

    /** @return ?self null where somebody does it at this moment */
    public static function take(Errand $errand): ?self
    {
        $path = self::path($errand);
        Storage::disk('local')->makeDirectory($errand->folder());
        $file = fopen($path, 'c');
        if ($file === false) {
            abort(503);
        }
        if (! flock($file, LOCK_EX | LOCK_NB)) {
            fclose($file);

            return null;
        }

        return new self($path, $file);
    }

    public static function isFree(Errand $errand): bool
    {
        $file = @fopen(self::path($errand), 'r');
        if ($file === false) {
            return true;
        }
        $free = flock($file, LOCK_SH | LOCK_NB);
        fclose($file);

        return $free;
    }

    /** Once what came of it is written: whoever takes it then finds it through. */
    public function release(): void
    {
        @unlink($this->path);
        fclose($this->file);
    }

    private static function path(Errand $errand): string
    {
        return Storage::disk('local')->path($errand->folder().'/hold');
    }
}
