<?php

declare(strict_types=1);

namespace App\Crew\Door;

use App\Crew\Factor\SecondFactor;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\User;
use App\Web\Controller;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Inertia\Inertia;
use Inertia\Response;

/** In, by a password and, where there is one, a second factor; and out. */
final class SessionController extends Controller
{
    private const PENDING = 'second-factor';

    /** Minutes that a password which was right waits for its code. */
    private const WAITS = 10;

    public function create(): Response|RedirectResponse
    {
        return FirstStart::isOpen() ? redirect('/first-start') : Inertia::render('door/SignIn');
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate([
            'email' => ['required', 'string', 'email', 'max:200'],
            'password' => ['required', 'string', 'max:200'],
        ]);
        $user = SignIn::user(
            $request->string('email')->toString(),
            $request->string('password')->toString(),
            $request->ip(),
        );
        if ($user->hasSecondFactor()) {
            $request->session()->regenerate();

            return self::askForCode($request, $user, $request->boolean('remember'));
        }

        return self::in($request, $user, $request->boolean('remember'));
    }

    /**
     * Whoever gave their password, now or at the moment said, still shows a code of their device.
     *
     * @param  ?int  $since  seconds since 1970
     */
    public static function askForCode(
        Request $request,
        User $user,
        bool $remember,
        ?int $since = null,
    ): RedirectResponse {
        Auth::guard('web')->forgetUser();
        $request->session()->forget(Auth::guard('web')->getName());
        if ($since !== null && self::pending($request) !== null) {
            return redirect('/sign-in/code');
        }
        $request->session()->put(self::PENDING, [
            'user' => $user->id,
            'password' => hash('sha256', $user->getAuthPassword()),
            'remember' => $remember,
            'since' => $since,
            'until' => now()->addMinutes(self::WAITS)->getTimestamp(),
        ]);

        return redirect('/sign-in/code');
    }

    public function code(Request $request): Response|RedirectResponse
    {
        return self::pending($request) === null ? redirect('/sign-in') : Inertia::render('door/Code');
    }

    public function check(Request $request): RedirectResponse
    {
        $pending = self::pending($request);
        if ($pending === null) {
            return redirect('/sign-in');
        }
        $request->validate(['code' => ['required', 'string', 'max:40']]);
        [$user, $remember, $since] = $pending;
        SecondFactor::check($user, $request->string('code')->toString());
        $request->session()->forget(self::PENDING);

        return self::in($request, $user, $remember, $since);
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

    private static function in(Request $request, User $user, bool $remember, ?int $since = null): RedirectResponse
    {
        Auth::login($user, $remember);
        $request->session()->regenerate();
        StaySignedIn::begin($request, $user, $remember, $since);
        SecurityLog::write(SecurityKind::SignedIn, $user->email, $user);

        return redirect()->intended('/jobs');
    }

    /** @return ?array{User, bool, ?int} whose password was right a moment ago, and is still that one */
    private static function pending(Request $request): ?array
    {
        $kept = $request->session()->get(self::PENDING);
        if (! is_array($kept) || ! is_int($kept['until'] ?? null) || $kept['until'] < now()->getTimestamp()) {
            return null;
        }
        $user = User::query()->find($kept['user'] ?? null);

        return $user instanceof User &&
            $user->isActive() &&
            hash('sha256', $user->getAuthPassword()) === ($kept['password'] ?? null)
            ? [$user, ($kept['remember'] ?? false) === true, is_int($kept['since'] ?? null) ? $kept['since'] : null]
            : null;
    }
}
