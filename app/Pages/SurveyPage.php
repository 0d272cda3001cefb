<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Job;
use App\Support\Progress;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Job\SurveyFile;

final class SurveyPage
{
    /** @return array<string, mixed> */
    public static function props(Job $job): array
    {
        $house = $job->house()->installation;
        $progress = Progress::of($job);
        $written = SurveyFile::write($house);

        return [
            ...JobFrame::props($job, $job->house()->circuitAsFound(), $progress),
            'cables' => array_map(ConductorView::cable(...), $house->cables),
            'facts' => $written['facts'],
            'linkChoices' => array_map(static fn (LinkState $s): array => ['value' => $s->value, 'label' => $s->label()], LinkState::cases()),
            'needs' => $progress->survey(),
            'finished' => $job->surveyed_at !== null,
            'findings' => FindingView::all(FindingView::screening($job)),
            'readings' => ReadingView::log($job, 'survey'),
        ];
    }
}
