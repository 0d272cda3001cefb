<?php

declare(strict_types=1);

namespace App\Records\Photo;

use App\Errand\Runs;
use App\Models\Job;
use App\Models\Work\Errand;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/** Draws a photograph anew, as it came, and writes its row: what came is kept until then. */
final class DrawPhoto implements Runs
{
    public static function kind(): string
    {
        return 'photo';
    }

    public function run(Errand $errand): array
    {
        $names = $errand->input['names'] ?? [];
        $name = is_array($names) && is_string($names[0] ?? null) ? $names[0] : '';
        $file = new UploadedFile(Storage::disk('local')->path($errand->folder().'/in-0'), $name, test: true);
        $photo = Photographs::keep(
            Job::query()->findOrFail($errand->job_id),
            $errand->user,
            $errand->text('photo'),
            $errand->text('place'),
            $file,
        );

        return PhotoView::of($photo);
    }
}
