<?php

declare(strict_types=1);

namespace App\Crew\People;

use App\Crew\Door\DoorLinks;
use App\Crew\Factor\SecondFactor;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Door\DoorLink;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Web\Page;
use App\Words\Units;
use App\Words\Words;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Inertia\Response;

/** The people of a crew: everybody sees who is of it, its lead sees to them. */
final class PeopleController extends Controller
{
    private const INVITED_AN_HOUR = 30;

    public function index(Request $request): Response
    {
        return Page::of('People', PeoplePage::props(self::user($request)));
    }

    public function invite(Request $request): JsonResponse
    {
        $lead = self::lead($request);
        $request->validate([
            'email' => ['required', 'string', 'email', 'max:200'],
            'role' => ['required', Rule::enum(Role::class)],
        ]);
        $email = mb_strtolower(trim($request->string('email')->toString()));
        self::limit($lead);
        if (User::query()->where('email', $email)->exists()) {
            throw ValidationException::withMessages(['email' => Words::of('crew.invite.taken', email: $email)]);
        }
        $made = DoorLinks::invite($lead->crew, $email, Role::from($request->string('role')->toString()), $lead);

        return new JsonResponse(['url' => $made['url'], 'mailed' => $made['mailed']], 201);
    }

    public function revoke(Request $request, int $link): JsonResponse
    {
        $lead = self::lead($request);
        DoorLinks::revoke(DoorLink::query()->open()->where('crew_id', $lead->crew_id)->findOrFail($link), $lead);

        return new JsonResponse(['id' => $link]);
    }

    public function role(Request $request, int $person): JsonResponse
    {
        $lead = self::lead($request);
        $request->validate(['role' => ['required', Rule::enum(Role::class)]]);
        ChangePerson::role(self::person($lead, $person), Role::from($request->string('role')->toString()), $lead);

        return new JsonResponse(['id' => $person]);
    }

    public function active(Request $request, int $person): JsonResponse
    {
        $lead = self::lead($request);
        $request->validate(['active' => ['required', 'boolean']]);
        $who = self::person($lead, $person);
        $request->boolean('active') ? ChangePerson::reactivate($who, $lead) : ChangePerson::deactivate($who, $lead);

        return new JsonResponse(['id' => $person]);
    }

    /** A link to set a new password with; where the device of a second factor is lost, without that too. */
    public function password(Request $request, int $person): JsonResponse
    {
        $lead = self::lead($request);
        $request->validate(['factor' => ['sometimes', 'boolean']]);
        $who = self::person($lead, $person);
        if (! $who->isActive()) {
            throw ValidationException::withMessages(['person' => Words::of('crew.people.deactivated')]);
        }
        if ($request->boolean('factor') && $who->hasSecondFactor()) {
            SecondFactor::off($who, $lead);
        }
        $made = DoorLinks::newPassword($who, $lead);

        return new JsonResponse(['url' => $made['url'], 'mailed' => $made['mailed']], 201);
    }

    /** Their data goes, the record stays and names nobody. */
    public function forget(Request $request, int $person): JsonResponse
    {
        $lead = self::lead($request);
        $who = self::person($lead, $person);
        if ($who->isActive()) {
            throw ValidationException::withMessages(['person' => Words::of('crew.people.deactivate-first')]);
        }
        Forget::person($who, $lead);

        return new JsonResponse(['id' => $person]);
    }

    /** The units of whoever of the crew has not chosen their own, and of what is kept for all of it. */
    public function units(Request $request): JsonResponse
    {
        $lead = self::lead($request);
        $request->validate(['units' => ['required', Rule::enum(Units::class)]]);
        $lead->crew->units = Units::from($request->string('units')->toString());
        $lead->crew->save();

        return new JsonResponse(['units' => $lead->crew->units]);
    }

    /** A server may have several crews: nobody asks it through for who is here. */
    private static function limit(User $lead): void
    {
        $key = "invite|{$lead->crew_id}";
        if (RateLimiter::tooManyAttempts($key, self::INVITED_AN_HOUR)) {
            throw ValidationException::withMessages([
                'email' => Words::of('crew.sign-in.limited', seconds: RateLimiter::availableIn($key)),
            ])->status(429);
        }
        RateLimiter::hit($key, 3600);
    }

    private static function lead(Request $request): User
    {
        $user = self::user($request);
        abort_unless($user->role->leads(), 403);

        return $user;
    }

    private static function person(User $lead, int $id): User
    {
        return User::query()->where('crew_id', $lead->crew_id)->whereNull('forgotten_at')->findOrFail($id);
    }
}
