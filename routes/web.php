<?php

declare(strict_types=1);

use App\Backup\BackupController;
use App\Crew\Account\AccountController;
use App\Crew\Door\DoorController;
use App\Crew\Door\FirstStartController;
use App\Crew\Door\SessionController;
use App\Crew\Door\StillOfCrew;
use App\Crew\Factor\FactorController;
use App\Crew\People\PeopleController;
use App\Errand\ErrandController;
use App\Figures\FiguresController;
use App\Handover\HandoverController;
use App\House\PulseController;
use App\Jobs\Archive\FilesController;
use App\Jobs\JobsController;
use App\Plan\MovesController;
use App\Plan\PlanController;
use App\Plan\PlanEditController;
use App\Plan\ProfilesController;
use App\Prove\Coverage\CoverageController;
use App\Prove\MeasurementsController;
use App\Prove\PatternController;
use App\Prove\Practice\PracticeController;
use App\Prove\TellsController;
use App\Prove\WaiversController;
use App\Records\Live\PowerController;
use App\Records\Photo\PhotosController;
use App\Records\Reading\ReadingMarksController;
use App\Records\Reading\ReadingsController;
use App\Records\SetUp\ThingsController;
use App\Records\Step\StepsController;
use App\Set\SettingsController;
use App\Share\SharedController;
use App\Share\SharesController;
use App\Shell\StageController;
use App\Survey\EntryPreviewController;
use App\Survey\Identify\IdentifyController;
use App\Survey\SurveyEditController;
use App\Trace\ComplaintController;
use App\Trace\TraceController;
use App\Web\Middleware\AsNobody;
use App\Web\Middleware\SignInSolo;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;

Route::redirect('/', '/jobs');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store']);
    Route::get('/sign-in/code', [SessionController::class, 'code'])->name('code');
    Route::post('/sign-in/code', [SessionController::class, 'check']);
    Route::get('/first-start', [FirstStartController::class, 'create'])->name('first-start');
    Route::post('/first-start', [FirstStartController::class, 'store'])->middleware('throttle:first-start');
    Route::get('/forgot', [DoorController::class, 'forgot'])->name('forgot');
    Route::post('/forgot', [DoorController::class, 'mail'])->middleware('throttle:forgot');
});
Route::get('/door/{token}', [DoorController::class, 'show'])
    ->middleware('throttle:door')
    ->name('door');
Route::post('/door/{token}', [DoorController::class, 'store'])->middleware('throttle:door-use');

// Whoever follows a link to a house is nobody here: no session is begun for them.
Route::withoutMiddleware([
    StartSession::class,
    ShareErrorsFromSession::class,
    ValidateCsrfToken::class,
    SignInSolo::class,
    StillOfCrew::class,
])
    ->middleware(AsNobody::class)
    ->group(function (): void {
        Route::get('/shared/{token}', [SharedController::class, 'show'])
            ->middleware('throttle:shared')
            ->name('shared');
        Route::get('/shared/{token}/photos/{photo}', [SharedController::class, 'photo'])
            ->middleware('throttle:shared-photo')
            ->name('shared.photo');
    });

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy'])->name('sign-out');
    Route::get('/account', [AccountController::class, 'show'])->name('account');
    Route::get('/account/data', [AccountController::class, 'data'])->name('account.data');
    Route::post('/account/name', [AccountController::class, 'name'])->name('account.name');
    Route::post('/account/settings', [AccountController::class, 'settings'])->name('account.settings');
    Route::post('/account/password', [AccountController::class, 'password'])->name('password');
    Route::post('/account/devices', [AccountController::class, 'devices'])->name('account.devices');
    Route::post('/account/forget', [AccountController::class, 'forget'])->name('account.forget');
    Route::post('/account/factor', [FactorController::class, 'begin'])->name('factor');
    Route::post('/account/factor/confirm', [FactorController::class, 'confirm'])->name('factor.confirm');
    Route::post('/account/factor/off', [FactorController::class, 'off'])->name('factor.off');
    Route::get('/crew', [PeopleController::class, 'index'])->name('crew');
    Route::post('/crew/units', [PeopleController::class, 'units'])->name('crew.units');
    Route::post('/crew/links', [PeopleController::class, 'invite'])->name('crew.links');
    Route::post('/crew/links/{link}/revoke', [PeopleController::class, 'revoke'])->name('crew.link.revoke');
    Route::post('/crew/{person}/role', [PeopleController::class, 'role'])->name('crew.role');
    Route::post('/crew/{person}/active', [PeopleController::class, 'active'])->name('crew.active');
    Route::post('/crew/{person}/password', [PeopleController::class, 'password'])->name('crew.password');
    Route::post('/crew/{person}/forget', [PeopleController::class, 'forget'])->name('crew.forget');
    Route::post('/shares/{share}/revoke', [SharesController::class, 'revoke'])->name('share.revoke');
    Route::get('/errands/{errand}', [ErrandController::class, 'show'])->name('errand');
    Route::get('/errands/{errand}/file', [ErrandController::class, 'file'])->name('errand.file');
    Route::get('/crew/backup', [BackupController::class, 'last'])->name('crew.backup');
    Route::post('/crew/backup', [BackupController::class, 'store']);
    Route::get('/jobs', [JobsController::class, 'index'])->name('jobs');
    Route::post('/jobs', [JobsController::class, 'store']);
    Route::post('/import', [FilesController::class, 'import'])->name('import');
    Route::get('/figures', [FiguresController::class, 'index'])->name('figures');
    Route::post('/figures/{key}', [FiguresController::class, 'compute'])->name('figure');
    Route::post('/profiles', [ProfilesController::class, 'store'])->name('profiles');
    Route::get('/profiles/{id}', [ProfilesController::class, 'show'])->name('profile');
    Route::delete('/profiles/{id}', [ProfilesController::class, 'destroy']);
    Route::get('/visits.ics', [FilesController::class, 'calendar'])->name('calendar');
    Route::post('/jobs/{job}/shelf', [JobsController::class, 'shelf'])
        ->withTrashed()
        ->name('job.shelf');

    Route::prefix('/jobs/{job}')->group(function (): void {
        Route::get('/survey', [StageController::class, 'survey'])->name('job.survey');
        Route::get('/plan', [StageController::class, 'plan'])->name('job.plan');
        Route::get('/set', [StageController::class, 'set'])->name('job.set');
        Route::get('/prove', [StageController::class, 'prove'])->name('job.prove');
        Route::get('/trace', [TraceController::class, 'show'])->name('job.trace');
        Route::get('/handover', [StageController::class, 'handover'])->name('job.handover');

        Route::get('/job-file', [FilesController::class, 'job'])->name('job.job-file');
        Route::get('/conductors.csv', [FilesController::class, 'conductors'])->name('job.conductors-csv');
        Route::get('/figures', [FiguresController::class, 'job'])->name('job.figures');
        Route::post('/figures/{key}', [FiguresController::class, 'computeFor'])->name('job.figure');
        Route::get('/offers', [PlanController::class, 'offers'])->name('job.offers');
        Route::get('/thermostats', [PlanController::class, 'thermostats'])->name('job.thermostats');
        Route::get('/wiring.csv', [PlanController::class, 'table'])->name('job.wiring-csv');
        Route::get('/wiring.svg', [PlanController::class, 'drawing'])->name('job.wiring-svg');
        Route::get('/door.svg', [PlanController::class, 'door'])->name('job.door-svg');
        Route::get('/labels.svg', [PlanController::class, 'labels'])->name('job.labels-svg');
        Route::post('/copies', [JobsController::class, 'copy'])->name('job.copies');
        Route::post('/details', [JobsController::class, 'details'])->name('job.details');

        Route::post('/photos', [PhotosController::class, 'store'])->name('job.photos');
        Route::post('/photo-skips', [PhotosController::class, 'skip'])->name('job.photo-skips');
        Route::post('/photo-marks', [PhotosController::class, 'mark'])->name('job.photo-marks');
        Route::get('/photos/{photo}', [PhotosController::class, 'show'])->name('job.photo');

        Route::post('/identify', IdentifyController::class)->name('job.identify');
        Route::post('/survey-edits', SurveyEditController::class)->name('job.survey-edits');
        Route::post('/plan-edits', PlanEditController::class)->name('job.plan-edits');
        Route::post('/entry-preview', EntryPreviewController::class)->name('job.entry-preview');

        Route::post('/expect', [ReadingsController::class, 'expect'])->name('job.expect');
        Route::post('/readings', [ReadingsController::class, 'store'])->name('job.readings');
        Route::post('/signs', [StepsController::class, 'sign'])->name('job.signs');
        Route::post('/power', PowerController::class)->name('job.power');
        Route::post('/temporary-things', ThingsController::class)->name('job.temporary-things');
        Route::post('/trace-rows', [TraceController::class, 'store'])->name('job.trace-rows');
        Route::post('/trace-complaint', ComplaintController::class)->name('job.trace-complaint');
        Route::post('/trace-setup', [TraceController::class, 'setUp'])->name('job.trace-setup');
        Route::post('/steps', [StepsController::class, 'step'])->name('job.steps');
        Route::post('/settings', SettingsController::class)->name('job.settings');
        Route::post('/moves', MovesController::class)->name('job.moves');
        Route::post('/waivers', WaiversController::class)->name('job.waivers');
        Route::post('/measurements', MeasurementsController::class)->name('job.measurements');
        Route::post('/marks', ReadingMarksController::class)->name('job.marks');
        Route::post('/tells', [TellsController::class, 'tells'])->name('job.tells');
        Route::get('/cannot-tell', [TellsController::class, 'cannotTell'])->name('job.cannot-tell');
        Route::get('/pulse', PulseController::class)->name('job.pulse');
        Route::get('/pattern', PatternController::class)->name('job.pattern');
        Route::get('/coverage', CoverageController::class)->name('job.coverage');
        Route::post('/practice', [PracticeController::class, 'toggle'])->name('job.practice');
        Route::post('/simulated-reading', [PracticeController::class, 'reading'])->name('job.simulated-reading');
        Route::post('/simulated-signs', [PracticeController::class, 'signs'])->name('job.simulated-signs');
        Route::post('/signatures', [HandoverController::class, 'sign'])->name('job.signatures');
        Route::get('/readings.csv', [HandoverController::class, 'readings'])->name('job.readings-csv');
        Route::get('/handover.pdf', [HandoverController::class, 'pdf'])->name('job.handover-pdf');
        Route::post('/handover.pdf', [HandoverController::class, 'makePdf']);
        Route::get('/shares', [SharesController::class, 'index'])->name('job.shares');
        Route::post('/shares', [SharesController::class, 'store']);
        Route::post('/archive', [FilesController::class, 'archive'])->name('job.archive');
        Route::post('/handover', HandoverController::class);
    });
});
