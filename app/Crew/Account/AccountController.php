<?php

declare(strict_types=1);

namespace App\Crew\Account;

use App\Crew\ChangePassword;
use App\Crew\Devices;
use App\Crew\Door\Password;
use App\Crew\People\ChangePerson;
use App\Crew\People\Forget;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Models\Crew\Preferences;
use App\Models\Crew\User;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Web\Page;
use App\Words\Units;
use App\Words\Words;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Plain;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rule;
use Inertia\Response;
use Unionbit\Core\Proving\Route\School;

/** A person's own: name, password, how they like it, where they are signed in, what is kept of them. */
final class AccountController extends Controller
{
    public function show(Request $request): Response
    {
        return Page::of('Account', AccountPage::props(self::user($request), $request->session()->getId()));
    }

    public function name(Request $request): JsonResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:80']]);
        $user = self::user($request);
        ChangePerson::rename($user, trim($request->string('name')->toString()));

        return new JsonResponse(['name' => $user->name]);
    }

    /** One or more of the preferences; the others stay as they are. */
    public function settings(Request $request): JsonResponse
    {
        $request->validate([
            'units' => ['sometimes', 'nullable', Rule::enum(Units::class)],
            'language' => ['sometimes', 'nullable', Rule::in(Preferences::languages())],
            'theme' => ['sometimes', Rule::in(Preferences::THEMES)],
            'school' => ['sometimes', Rule::enum(School::class)],
            'hand' => ['sometimes', Rule::in(Preferences::HANDS)],
            'singleKeys' => ['sometimes', 'boolean:strict'],
        ]);
        $user = self::user($request);
        $chosen = array_intersect_key($request->all(), (new Preferences())->toArray());
        $user->settings = Preferences::read([...$user->preferences()->toArray(), ...$chosen])->toArray();
        $user->save();

        return new JsonResponse($user->preferences()->toArray());
    }

    public function password(Request $request): JsonResponse
    {
        $user = self::user($request);
        $request->validate(
            [
                'present' => ['required', 'string', 'max:200'],
                'password' => [
                    ...Password::rules([$user->email, $user->name, $user->crew->name]),
                    'different:present',
                ],
            ],
            ['present.required' => Words::of('crew.password.present'), ...Password::messages()],
        );
        ChangePassword::of(
            $user,
            $request->string('present')->toString(),
            $request->string('password')->toString(),
            $request->session()->getId(),
        );

        return new JsonResponse(['changed' => true]);
    }

    /** Ends one device, or every other. */
    public function devices(Request $request): JsonResponse
    {
        $request->validate(['device' => ['nullable', 'string', 'max:16']]);
        $user = self::user($request);
        $device = $request->filled('device') ? $request->string('device')->toString() : null;
        $ended = Devices::end($user, $request->session()->getId(), $device);
        SecurityLog::write(SecurityKind::DeviceEnded, "{$ended} ended", $user);

        return new JsonResponse(['ended' => $ended]);
    }

    public function data(Request $request): Plain
    {
        $user = self::user($request);
        SecurityLog::write(SecurityKind::Exported, 'their own data', $user);

        return new Plain(
            json_encode(
                PersonData::of($user),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            )."\n",
            200,
            [
                'Content-Type' => 'application/json',
                'Content-Disposition' => 'attachment; filename="my-data.json"',
            ],
        );
    }

    /** They go: out everywhere, and what is kept of them is anonymous from now on. */
    public function forget(Request $request): JsonResponse
    {
        $user = self::user($request);
        $request->validate(['password' => ['required', 'string', 'max:200']]);
        ChangePassword::confirm($user, $request->string('password')->toString(), 'password');
        ChangePerson::refuseLastLead($user);
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        Forget::person(User::query()->findOrFail($user->id), null);

        return new JsonResponse(['url' => '/sign-in']);
    }
}
