<?php

declare(strict_types=1);

namespace App\Web\Middleware;

use App\Models\User;
use App\Words\Speaker;
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
            'units' => self::units(),
            'solo' => config()->boolean('unionbit.solo'),
            'now' => now()->toIso8601String(),
        ];
    }

    /** @return array{system: string, table: array<string, array{unit: string, factor: float, offset: float}>} */
    private static function units(): array
    {
        $speaker = app(Speaker::class);
        $units = $speaker->units();

        return ['system' => $units->value, 'table' => $units->table($speaker->sign(...))];
    }
}
