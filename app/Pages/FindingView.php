<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Job;
use App\Models\Reading;
use Unionbit\Core\Finding;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Screening\SurveyReading;

/** Findings of the rules, as the screen reads them. */
final class FindingView
{
    /**
     * @param  list<Finding>  $findings
     * @return list<array<string, mixed>>
     */
    public static function all(array $findings): array
    {
        return array_map(static fn (Finding $f): array => $f->toArray(), $findings);
    }

    /** @return list<Finding> */
    public static function screening(Job $job): array
    {
        $readings = $job->readings()->where('stage', 'survey')->where('mode', 'V')->get();
        $corrected = $readings->pluck('corrects_id')->filter()->all();
        $standing = $readings->reject(static fn (Reading $r): bool => in_array($r->id, $corrected, true));

        return Screening::check($job->house()->installation, array_values($standing->map(static fn (Reading $r): SurveyReading => new SurveyReading($r->a, $r->b, (float) $r->value))->all()));
    }
}
