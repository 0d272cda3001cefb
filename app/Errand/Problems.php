<?php

declare(strict_types=1);

namespace App\Errand;

use App\Words\Words;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** What the application answers to a problem, wherever it comes up: the same words behind a request as in it. */
final class Problems
{
    /** @return array{int, array<string, list<string>>} status, and what was wrong by field */
    public static function of(Throwable $problem): array
    {
        $asked = Request::create('/');
        $asked->headers->set('Accept', 'application/json');
        $handler = app(ExceptionHandler::class);
        $handler->report($problem);
        $answer = $handler->render($asked, $problem);
        $said = json_decode((string) $answer->getContent(), true);
        $errors = is_array($said) && is_array($said['errors'] ?? null) ? $said['errors'] : [];
        $fields = [];
        foreach ($errors as $field => $messages) {
            $fields[(string) $field] = array_values(array_filter((array) $messages, is_string(...)));
        }
        $status = $answer->getStatusCode();
        if ($fields === []) {
            // What was said on purpose; of anything else its message is for the log.
            $meant = $status < 500 || $problem instanceof HttpExceptionInterface;
            $words = $meant && is_array($said) && is_string($said['message'] ?? null) ? $said['message'] : '';
            $fields = ['errand' => [$words === '' ? Words::of('web.errand.broke') : $words]];
        }

        return [$status, $fields];
    }
}
