<?php

declare(strict_types=1);

use App\Crew\Door\StillOfCrew;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Database\Trouble;
use App\Health\HealthController;
use App\House\Refused;
use App\Models\Crew\User;
use App\Web\Middleware\HandleInertiaRequests;
use App\Web\Middleware\MovedClock;
use App\Web\Middleware\PlainQuery;
use App\Web\Middleware\PlainText;
use App\Web\Middleware\SecurityHeaders;
use App\Web\Middleware\SignInSolo;
use App\Web\PersonsDay;
use App\Words\Words;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response;

// Whatever the application writes (database, photographs, logs, caches) is its own: 0600, folders 0700.
umask(0077);

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        // Whether it answers, without a session, and without the framework's page, which asks others for its looks.
        then: static function (): void {
            Route::get('/up', static fn (): Response => new Response('up', 200, ['Content-Type' => 'text/plain']));
            Route::get('/health', [HealthController::class, 'show'])->middleware('throttle:health');
            Route::get('/metrics', [HealthController::class, 'metrics'])->middleware('throttle:metrics');
        },
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->append([SecurityHeaders::class, PlainQuery::class]);
        $middleware->web(
            prepend: [MovedClock::class],
            append: [SignInSolo::class, StillOfCrew::class, PlainText::class, HandleInertiaRequests::class],
        );
        $middleware->prependToPriorityList(before: AuthenticatesRequests::class, prepend: SignInSolo::class);
        $middleware->prependToPriorityList(before: AuthenticatesRequests::class, prepend: StillOfCrew::class);
        $middleware->encryptCookies(except: [PersonsDay::COOKIE]);
        $middleware->redirectUsersTo('/jobs');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // What a house or a record does not take, said at the field that it stands in.
        $exceptions->map(
            Refused::class,
            static fn (Refused $e): ValidationException => ValidationException::withMessages(
                array_map(Words::each(...), $e->problems),
            ),
        );
        // Back to the form of a link, which says to nobody where it stands.
        $exceptions->render(static function (ValidationException $refused, Request $request): void {
            if ($request->is('door/*')) {
                $refused->redirectTo($request->url());
            }
        });
        // A database that takes no writes now: nothing was acknowledged, and whoever waits is told what to do.
        $exceptions->map(PDOException::class, Trouble::answer(...));
        $exceptions->respond(function (Response $response, Throwable $exception, Request $request): Response {
            $status = $response->getStatusCode();
            if ($status === 403) {
                $user = $request->user();
                SecurityLog::write(
                    SecurityKind::Refused,
                    $request->method().' '.$request->path(),
                    $user instanceof User ? $user : null,
                );
            }
            $page = in_array($status, [400, 403, 404, 419, 500, 503], true);
            if (! $page || $request->expectsJson() || (app()->hasDebugModeEnabled() && $status === 500)) {
                return $response;
            }

            // What the database could not do is said as it is to whoever waits for an answer.
            $says = $exception->getPrevious() instanceof PDOException ? $exception->getMessage() : '';

            return Inertia::render('Problem', ['status' => $status, 'says' => $says])
                ->toResponse($request)
                ->setStatusCode($status);
        });
    })
    ->create();
