<?php

declare(strict_types=1);

use App\Crew\Account\AccountPage;
use App\Crew\People\PeoplePage;
use App\Figures\FiguresPage;
use App\Handover\HandoverPage;
use App\House\House;
use App\Jobs\Screen\JobsPage;
use App\Models\Job;
use App\Models\Share\SharePart;
use App\Plan\PlanPage;
use App\Prove\ProvePage;
use App\Set\SetPage;
use App\Share\SharedPage;
use App\Survey\SurveyPage;
use App\Trace\Book\TraceBook;
use App\Trace\TracePage;

// The TypeScript types mirror what PHP pages send. Real pages of the demo data are written as TypeScript constants
// of those types, and the TypeScript compiler says whether they still fit: a field too many, too few or of another
// kind fails here.

it('sends what the TypeScript types say', function (): void {
    seedDemo();
    [$finished, $waiting] = [Job::at('Lock Keeper\'s Row 4'), Job::at('Lock Keeper\'s Row 6')];
    $fault = Job::at('Quay House');
    $plan = House::of($finished)->plan ?? throw new LogicException('The finished house has a plan.');
    $lead = $finished->crew->users()->firstOrFail();
    $samples = [
        'AccountProps' => [said(AccountPage::props($lead, ''))],
        'PeopleProps' => [said(PeoplePage::props($lead))],
        'JobsProps' => [said(JobsPage::props($finished->crew->users()->firstOrFail(), '', 'all', null))],
        'SurveyProps' => [said(SurveyPage::props($finished)), said(SurveyPage::props($waiting))],
        'PlanProps' => [said(PlanPage::props($finished)), said(PlanPage::props($waiting))],
        'SetProps' => [said(SetPage::props($finished, $plan))],
        'ProveProps' => [said(ProvePage::props($finished, $plan))],
        'TraceProps' => [
            said(
                TracePage::props($fault, TraceBook::of($fault) ?? throw new LogicException('It has a thermostat.')),
            ),
            said(
                TracePage::props(
                    $finished,
                    TraceBook::of($finished) ?? throw new LogicException('It has one too.'),
                ),
            ),
        ],
        'FiguresProps' => [said(FiguresPage::props(null)), said(FiguresPage::props($finished))],
        'SharedProps' => array_map(
            static fn (Job $job): array => said([
                ...SharedPage::props($job, SharePart::cases(), '/shared/token'),
                'share' => ['label' => 'a colleague', 'endsAt' => now()->toIso8601String()],
            ]),
            [$finished, $waiting, $fault],
        ),
        'HandoverProps' => [said(HandoverPage::props($finished)), said(HandoverPage::props($waiting))],
    ];

    $lines = [
        'import type * as T from "../../../resources/js/types";',
        '// Only the keys that a type names itself, without its open index.',
        'type Named<X> = { [K in keyof X as string extends K ? never : K]: X[K] };',
        'type Own<X> = Omit<Named<X>, keyof Named<T.Shared>>;',
    ];
    foreach ($samples as $type => $pages) {
        foreach ($pages as $number => $props) {
            $lines[] =
                "export const {$type}{$number}: Own<T.{$type}> = ".json_encode($props, JSON_THROW_ON_ERROR).';';
        }
    }
    $directory = storage_path('framework/prop-types');
    is_dir($directory) || mkdir($directory, recursive: true);
    file_put_contents("{$directory}/samples.ts", implode("\n", $lines));
    file_put_contents(
        "{$directory}/tsconfig.json",
        json_encode([
            'extends' => base_path('tsconfig.json'),
            'include' => ['samples.ts'],
            'compilerOptions' => ['types' => []],
        ]),
    );
    exec(
        'cd '.
            escapeshellarg(base_path()).
            ' && node_modules/.bin/tsc --noEmit -p '.
            escapeshellarg($directory).
            ' 2>&1',
        $output,
        $exit,
    );

    expect($exit)->toBe(0, implode("\n", array_slice($output, 0, 20)));
});
