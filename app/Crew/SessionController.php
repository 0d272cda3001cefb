<?php

declare(strict_types=1);

namespace App\Crew;

use App\Models\User;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Words\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Inertia\Inertia;
use Inertia\Response;

/** In, out, and another password. */
final class SessionController extends Controller
{
    public function create(): Response
    {
        return Inertia::render('SignIn');
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate([
            'email' => ['required', 'string', 'email', 'max:200'],
            'password' => ['required', 'string', 'max:200'],
        ]);
        Auth::login(
            SignIn::user(
                $request->string('email')->toString(),
                $request->string('password')->toString(),
                $request->ip(),
            ),
            $request->boolean('remember'),
        );
        $request->session()->regenerate();

        return redirect()->intended('/jobs');
    }

    public function password(Request $request): JsonResponse
    {
        $request->validate(
            [
                'present' => ['required', 'string', 'max:200'],
                'password' => ['required', 'string', 'min:10', 'max:200', 'different:present'],
            ],
            [
                'present.required' => Words::of('crew.password.present'),
                'password.required' => Words::of('crew.password.new'),
                'password.min' => Words::of('crew.password.short'),
                'password.different' => Words::of('crew.password.same'),
            ],
        );
        ChangePassword::of(
            self::user($request),
            $request->string('present')->toString(),
            $request->string('password')->toString(),
            $request->session()->getId(),
        );

        return new JsonResponse(['changed' => true]);
    }

    public function destroy(Request $request): RedirectResponse
    {
        $user = $request->user();
        SecurityLog::write(SecurityKind::SignedOut, '', $user instanceof User ? $user : null);
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
