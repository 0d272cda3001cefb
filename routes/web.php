<?php

declare(strict_types=1);

use App\Crew\SessionController;
use App\Crew\UnitsController;
use App\Figures\FiguresController;
use App\Handover\HandoverController;
use App\House\PulseController;
use App\Jobs\File\FilesController;
use App\Jobs\JobsController;
use App\Plan\MovesController;
use App\Plan\PlanController;
use App\Plan\PlanEditController;
use App\Plan\ProfilesController;
use App\Prove\MeasurementsController;
use App\Prove\PatternController;
use App\Prove\Practice\PracticeController;
use App\Prove\TellsController;
use App\Prove\WaiversController;
use App\Records\Photo\PhotosController;
use App\Records\Power\PowerController;
use App\Records\Reading\ReadingMarksController;
use App\Records\Reading\ReadingsController;
use App\Records\Step\StepsController;
use App\Set\SettingsController;
use App\Shell\StageController;
use App\Survey\EntryPreviewController;
use App\Survey\SurveyEditController;
use Illuminate\Support\Facades\Route;

Route::redirect('/', '/jobs');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store']);
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy']);
    Route::post('/password', [SessionController::class, 'password']);
    Route::post('/crew/units', [UnitsController::class, 'store']);
    Route::get('/jobs', [JobsController::class, 'index']);
    Route::post('/jobs', [JobsController::class, 'store']);
    Route::post('/import', [FilesController::class, 'import']);
    Route::get('/figures', [FiguresController::class, 'index']);
    Route::post('/figures/{key}', [FiguresController::class, 'compute']);
    Route::post('/profiles', [ProfilesController::class, 'store']);
    Route::get('/profiles/{id}', [ProfilesController::class, 'show']);
    Route::delete('/profiles/{id}', [ProfilesController::class, 'destroy']);
    Route::get('/visits.ics', [FilesController::class, 'calendar']);
    Route::post('/jobs/{job}/shelf', [JobsController::class, 'shelf'])->withTrashed();

    Route::prefix('/jobs/{job}')->group(function (): void {
        Route::get('/survey', [StageController::class, 'survey']);
        Route::get('/plan', [StageController::class, 'plan']);
        Route::get('/set', [StageController::class, 'set']);
        Route::get('/prove', [StageController::class, 'prove']);
        Route::get('/handover', [StageController::class, 'handover']);

        Route::get('/job-file', [FilesController::class, 'job']);
        Route::get('/conductors.csv', [FilesController::class, 'conductors']);
        Route::get('/figures', [FiguresController::class, 'job']);
        Route::post('/figures/{key}', [FiguresController::class, 'computeFor']);
        Route::get('/offers', [PlanController::class, 'offers']);
        Route::get('/thermostats', [PlanController::class, 'thermostats']);
        Route::get('/wiring.csv', [PlanController::class, 'table']);
        Route::get('/wiring.svg', [PlanController::class, 'drawing']);
        Route::get('/labels.svg', [PlanController::class, 'labels']);
        Route::post('/copies', [JobsController::class, 'copy']);
        Route::post('/details', [JobsController::class, 'details']);

        Route::post('/photos', [PhotosController::class, 'store']);
        Route::post('/photo-skips', [PhotosController::class, 'skip']);
        Route::post('/photo-marks', [PhotosController::class, 'mark']);
        Route::get('/photos/{photo}', [PhotosController::class, 'show']);

        Route::post('/survey-edits', SurveyEditController::class);
        Route::post('/plan-edits', PlanEditController::class);
        Route::post('/entry-preview', EntryPreviewController::class);

        Route::post('/expect', [ReadingsController::class, 'expect']);
        Route::post('/readings', [ReadingsController::class, 'store']);
        Route::post('/signs', [StepsController::class, 'sign']);
        Route::post('/power', PowerController::class);
        Route::post('/steps', [StepsController::class, 'step']);
        Route::post('/settings', SettingsController::class);
        Route::post('/moves', MovesController::class);
        Route::post('/waivers', WaiversController::class);
        Route::post('/measurements', MeasurementsController::class);
        Route::post('/marks', ReadingMarksController::class);
        Route::post('/tells', [TellsController::class, 'tells']);
        Route::get('/cannot-tell', [TellsController::class, 'cannotTell']);
        Route::get('/pulse', PulseController::class);
        Route::get('/pattern', PatternController::class);
        Route::post('/practice', [PracticeController::class, 'toggle']);
        Route::post('/simulated-reading', [PracticeController::class, 'reading']);
        Route::post('/simulated-signs', [PracticeController::class, 'signs']);
        Route::post('/signatures', [HandoverController::class, 'sign']);
        Route::get('/readings.csv', [HandoverController::class, 'readings']);
        Route::get('/handover.pdf', [HandoverController::class, 'pdf']);
        Route::post('/handover', HandoverController::class);
    });
});
