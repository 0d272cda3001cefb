<?php

declare(strict_types=1);

use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\MovedClock;
use App\Http\Middleware\SignInSolo;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php', health: '/up')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->web(prepend: [MovedClock::class], append: [SignInSolo::class, HandleInertiaRequests::class]);
        $middleware->prependToPriorityList(before: AuthenticatesRequests::class, prepend: SignInSolo::class);
        $middleware->redirectUsersTo('/jobs');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->respond(function (Response $response, Throwable $exception, Request $request): Response {
            $page = in_array($response->getStatusCode(), [403, 404, 419, 500, 503], true);
            if (! $page || $request->expectsJson() || app()->hasDebugModeEnabled() && $response->getStatusCode() === 500) {
                return $response;
            }

            return Inertia::render('Problem', ['status' => $response->getStatusCode()])->toResponse($request)->setStatusCode($response->getStatusCode());
        });
    })
    ->create();
