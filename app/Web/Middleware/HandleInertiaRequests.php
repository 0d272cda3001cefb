<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Models\Crew\User;
use App\Words\Speaker;
use App\Words\Words;
use Illuminate\Http\Request;
use Inertia\Middleware;
use Unionbit\Core\Words\Message;

final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    public function share(Request $request): array
    {
        $user = $request->user();

        return [
            ...parent::share($request),
            'user' => $user instanceof User ? self::person($user) : null,
            'units' => app(Speaker::class)->page(),
            'solo' => config()->boolean('unionbit.solo'),
            'now' => now()->toIso8601String(),
        ];
    }

    /** @return array<string, mixed> */
    private static function person(User $user): array
    {
        return [
            'id' => $user->id,
            'name' => $user->name,
            'crew' => $user->crew->name,
            'works' => $user->role->works(),
            'decides' => $user->role->decides(),
            'leads' => $user->role->leads(),
            'role' => Words::say(Message::term($user->role)),
            'preferences' => $user->preferences()->toArray(),
        ];
    }
}
