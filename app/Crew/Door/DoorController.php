<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Crew\Notice;
use App\Models\Crew\User;
use App\Models\Door\DoorKind;
use App\Models\Door\DoorLink;
use App\Web\Controller;
use App\Words\Words;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as Answer;
use Unionbit\Core\Words\Message;

/** A link at the door: an invitation, or a new password; and the asking for one. */
final class DoorController extends Controller
{
    public function show(Request $request, string $token): Answer
    {
        $link = DoorLinks::find($token);

        return Inertia::render(
            'door/Door',
            $link === null
                ? ['kind' => 'ended']
                : [
                    'kind' => $link->kind->value,
                    'crew' => $link->crew->name,
                    'role' => Words::say(Message::term($link->role)),
                    'email' => $link->email,
                    'name' => $link->user->name ?? '',
                    'least' => Password::SHORTEST,
                ],
        )
            ->toResponse($request)
            ->setStatusCode($link === null ? 410 : 200);
    }

    public function store(Request $request, string $token): RedirectResponse
    {
        $link = DoorLinks::find($token) ?? throw self::ended();
        $name = trim($link->user->name ?? $request->string('name')->toString());
        $request->validate(
            [
                'name' => [Rule::requiredIf($link->kind === DoorKind::Invitation), 'nullable', 'string', 'max:80'],
                'password' => Password::rules([$link->email, $name, $link->crew->name]),
            ],
            Password::messages(),
        );
        self::refuseTaken($link);
        try {
            $user = DoorLinks::use($link, $name, $request->string('password')->toString()) ?? throw self::ended();
        } catch (UniqueConstraintViolationException) {
            // Somebody of that address came in by another link this very moment.
            self::refuseTaken($link);
            throw self::ended();
        }
        // Whoever has a second factor still shows it: a mailbox alone opens nothing.
        if ($user->hasSecondFactor() || ! $user->isActive()) {
            return redirect('/sign-in');
        }
        Auth::login($user);
        $request->session()->regenerate();

        return redirect('/jobs');
    }

    public function forgot(): Response
    {
        return Inertia::render('door/Forgot', ['sent' => false, 'mails' => Notice::goesOut()]);
    }

    /** The same answer whoever asks, so that nobody learns who is here. */
    public function mail(Request $request): Response
    {
        $request->validate(['email' => ['required', 'string', 'email', 'max:200']]);
        $user = User::query()->where('email', mb_strtolower($request->string('email')->toString()))->first();
        if ($user !== null && $user->isActive()) {
            // After the answer: how long it takes would tell too.
            defer(static fn () => Notice::goesOut() ? DoorLinks::newPassword($user, null) : Notice::asked($user));
        }

        return Inertia::render('door/Forgot', ['sent' => true, 'mails' => Notice::goesOut()]);
    }

    private static function refuseTaken(DoorLink $link): void
    {
        if ($link->user === null && User::query()->where('email', $link->email)->exists()) {
            throw ValidationException::withMessages([
                'name' => Words::of('crew.invite.taken', email: $link->email),
            ]);
        }
    }

    private static function ended(): ValidationException
    {
        return ValidationException::withMessages(['password' => Words::of('crew.door.ended')]);
    }
}
