<?php

declare(strict_types=1);

namespace App\Shell;

use App\Handover\HandoverPage;
use App\House\House;
use App\Models\Job;
use App\Plan\PlanPage;
use App\Prove\AsFound\AsFoundView;
use App\Prove\ProvePage;
use App\Records\Progress;
use App\Set\SetPage;
use App\Stage\JobFrame;
use App\Survey\SurveyPage;
use App\Web\Controller;
use App\Words\Words;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The five stages of a job. */
final class StageController extends Controller
{
    public function survey(Job $job): Response
    {
        return $this->page($job, 'Survey', SurveyPage::props($job));
    }

    public function plan(Job $job): Response
    {
        return $this->page($job, 'Plan', PlanPage::props($job));
    }

    public function set(Job $job): Response|RedirectResponse
    {
        return House::of($job)->plan === null
            ? redirect("/jobs/{$job->id}/plan")
            : $this->page($job, 'Set', SetPage::props($job, House::of($job)->plan));
    }

    public function prove(Job $job): Response
    {
        $standing = House::of($job)->standing;

        return $standing === null
            ? $this->page($job, 'AsFound', [
                ...JobFrame::props($job, House::of($job)->circuitAsFound(), Progress::of($job)),
                'asFound' => AsFoundView::of($job),
            ])
            : $this->page($job, 'Prove', ProvePage::props($job, $standing));
    }

    public function handover(Job $job): Response
    {
        return $this->page($job, 'Handover', HandoverPage::props($job));
    }

    /** @param  array<string, mixed>  $props */
    private function page(Job $job, string $name, array $props): Response
    {
        $this->authorize('view', $job);

        return Inertia::render($name, Words::spoken($props));
    }
}
