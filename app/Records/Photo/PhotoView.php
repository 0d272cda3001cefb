<?php

declare(strict_types=1);

namespace App\Records\Photo;

use App\House\House;
use App\Models\Job;
use App\Models\Photo;
use App\Models\PhotoMark;
use Unionbit\Core\Terminal\Place;

/** Photographs as the screen shows them, with the marks that stand. */
final class PhotoView
{
    /** @return array<string, mixed> */
    public static function of(Photo $photo): array
    {
        $marks = $photo->marks()->get();
        $gone = $marks->pluck('takes_back_id')->filter()->all();
        $standing = $marks->reject(
            static fn (PhotoMark $m): bool => $m->takes_back_id !== null || in_array($m->id, $gone, true),
        );

        return [
            'id' => $photo->id,
            'place' => $photo->place,
            'url' => $photo->path === null ? null : "/jobs/{$photo->job_id}/photos/{$photo->id}",
            'width' => $photo->width,
            'height' => $photo->height,
            'skipped' => $photo->skipped,
            'at' => $photo->at->toIso8601String(),
            'marks' => array_values(
                $standing
                    ->map(
                        static fn (PhotoMark $m): array => [
                            'id' => $m->id,
                            'x' => $m->x,
                            'y' => $m->y,
                            'end' => $m->end,
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function all(Job $job): array
    {
        return array_values($job->photos()->get()->map(self::of(...))->all());
    }

    /** @return list<string> conductor ends that can be seen at a place */
    public static function ends(Job $job, string $place): array
    {
        $ends = [];
        foreach (House::of($job)->installation->cables as $cable) {
            $end = $cable->endAt(Place::from($place));
            foreach ($end === null ? [] : $cable->tips($end) as $tip) {
                $ends[] = $tip->at()->id;
            }
        }

        return $ends;
    }
}
