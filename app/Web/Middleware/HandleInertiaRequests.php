<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Models\User;
use Illuminate\Http\Request;
use Inertia\Middleware;

final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    public function share(Request $request): array
    {
        $user = $request->user();

        return [
            ...parent::share($request),
            'user' => $user instanceof User ? ['name' => $user->name, 'crew' => $user->crew->name] : null,
            'solo' => config()->boolean('unionbit.solo'),
            'now' => now()->toIso8601String(),
        ];
    }
}
