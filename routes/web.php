<?php

declare(strict_types=1);

use App\Crew\SessionController;
use App\Document\DocumentController;
use App\Figures\FiguresController;
use App\Handover\HandoverController;
use App\Jobs\File\FilesController;
use App\Jobs\JobsController;
use App\Plan\PlanController;
use App\Plan\ProfilesController;
use App\Prove\ChecksController;
use App\Prove\ProvingController;
use App\Records\Photo\PhotosController;
use App\Records\RecordsController;
use App\Shell\StageController;
use Illuminate\Support\Facades\Route;

Route::redirect('/', '/jobs');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store']);
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy']);
    Route::post('/password', [SessionController::class, 'password']);
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

        Route::post('/survey-edits', [DocumentController::class, 'survey']);
        Route::post('/plan-edits', [DocumentController::class, 'plan']);
        Route::post('/entry-preview', [DocumentController::class, 'preview']);

        Route::post('/expect', [RecordsController::class, 'expect']);
        Route::post('/readings', [RecordsController::class, 'reading']);
        Route::post('/signs', [RecordsController::class, 'sign']);
        Route::post('/power', [RecordsController::class, 'power']);
        Route::post('/steps', [RecordsController::class, 'step']);
        Route::post('/settings', [RecordsController::class, 'setting']);
        Route::post('/moves', [RecordsController::class, 'move']);
        Route::post('/waivers', [RecordsController::class, 'waive']);
        Route::post('/measurements', [ChecksController::class, 'measure']);
        Route::post('/marks', [ChecksController::class, 'mark']);
        Route::post('/tells', [ChecksController::class, 'tells']);
        Route::get('/cannot-tell', [ChecksController::class, 'cannotTell']);
        Route::get('/pulse', [ProvingController::class, 'pulse']);
        Route::get('/pattern', [ProvingController::class, 'pattern']);
        Route::post('/practice', [ProvingController::class, 'practice']);
        Route::post('/simulated-reading', [ProvingController::class, 'reading']);
        Route::post('/simulated-signs', [ProvingController::class, 'signs']);
        Route::post('/signatures', [HandoverController::class, 'sign']);
        Route::get('/readings.csv', [HandoverController::class, 'readings']);
        Route::get('/handover.pdf', [HandoverController::class, 'pdf']);
        Route::post('/handover', HandoverController::class);
    });
});
