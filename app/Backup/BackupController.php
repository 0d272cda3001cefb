<?php

declare(strict_types=1);

namespace App\Backup;

use App\Errand\ErrandAnswer;
use App\Errand\Errands;
use App\Models\Work\Errand;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Words\Words;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** A backup now, before something is changed; and when the last one was made. */
final class BackupController extends Controller
{
    private const AN_HOUR = 4;

    public function store(Request $request): JsonResponse
    {
        $lead = self::user($request);
        abort_unless($lead->role->leads(), 403);
        $request->validate(['id' => ['required', 'ulid']]);
        self::refuseMany($request->string('id')->toString());
        $errand = Errands::begin(MakeBackup::kind(), $request->string('id')->toString(), $lead, null, []);

        return ErrandAnswer::of($errand);
    }

    /** One at a time, and a few an hour: each takes room and time of every crew of the server. */
    private static function refuseMany(string $id): void
    {
        if (Errand::query()->whereKey($id)->exists()) {
            return;
        }
        $open = Errand::query()->open()->where('kind', MakeBackup::kind())->exists();
        if ($open || RateLimiter::tooManyAttempts('backup', self::AN_HOUR)) {
            throw ValidationException::withMessages([
                'id' => $open
                    ? Words::of('crew.backup.under-way')
                    : Words::of(
                        'crew.backup.limited',
                        minutes: (int) ceil(RateLimiter::availableIn('backup') / 60),
                    ),
            ])->status(429);
        }
        RateLimiter::hit('backup', 3600);
    }

    public function last(Request $request): JsonResponse
    {
        abort_unless(self::user($request)->role->leads(), 403);
        $all = Backup::all(config()->string('unionbit.backups'));
        $last = end($all);

        return new JsonResponse([
            'at' => $last === false ? null : Manifest::read(config()->string('unionbit.backups')."/{$last}")->made,
            'kept' => count($all),
        ]);
    }
}
