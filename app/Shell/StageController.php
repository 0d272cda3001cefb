<?php

declare(strict_types=1);

namespace App\Shell;

use App\Handover\HandoverPage;
use App\House\House;
use App\Models\Job;
use App\Plan\PlanPage;
use App\Prove\AsFound\AsFoundView;
use App\Prove\ProvePage;
use App\Records\Progress\Progress;
use App\Set\SetPage;
use App\Stage\JobFrame;
use App\Stage\KeptPage;
use App\Survey\SurveyPage;
use App\Web\Controller;
use App\Web\Page;
use Closure;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

/** The five stages of a job. */
final class StageController extends Controller
{
    public function survey(Job $job): Response|RedirectResponse
    {
        return $this->page($job, 'Survey', static fn (): array => ['Survey', SurveyPage::props($job)]);
    }

    public function plan(Job $job): Response|RedirectResponse
    {
        return $this->page($job, 'Plan', static fn (): array => ['Plan', PlanPage::props($job)]);
    }

    public function set(Job $job): Response|RedirectResponse
    {
        return $this->page($job, 'Set', static function () use ($job): ?array {
            $plan = House::of($job)->plan;

            return $plan === null ? null : ['Set', SetPage::props($job, $plan)];
        });
    }

    public function prove(Job $job): Response|RedirectResponse
    {
        return $this->page($job, 'Prove', static function () use ($job): array {
            $standing = House::of($job)->standing;

            return $standing === null
                ? [
                    'AsFound',
                    [
                        ...JobFrame::props($job, House::of($job)->circuitAsFound(), Progress::of($job)),
                        'asFound' => AsFoundView::of($job),
                    ],
                ]
                : ['Prove', ProvePage::props($job, $standing)];
        });
    }

    public function handover(Job $job): Response|RedirectResponse
    {
        return $this->page($job, 'Handover', static fn (): array => ['Handover', HandoverPage::props($job)]);
    }

    /** @param  Closure(): ?array{string, array<string, mixed>}  $work  null where it has to be planned first */
    private function page(Job $job, string $stage, Closure $work): Response|RedirectResponse
    {
        $this->authorize('view', $job);
        $page = KeptPage::of($job, $stage, $work);

        return $page === null ? redirect("/jobs/{$job->id}/plan") : Page::of(...$page);
    }
}
