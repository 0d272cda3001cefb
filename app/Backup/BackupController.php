<?php

declare(strict_types=1);

namespace App\Backup;

use App\Errand\ErrandAnswer;
use App\Errand\Errands;
use App\Web\Controller;
use App\Web\JsonResponse;
use Illuminate\Http\Request;

/** A backup now, before something is changed; and when the last one was made. */
final class BackupController extends Controller
{
    public function store(Request $request): JsonResponse
    {
        $lead = self::user($request);
        abort_unless($lead->role->leads(), 403);
        $request->validate(['id' => ['required', 'ulid']]);
        $errand = Errands::begin(MakeBackup::kind(), $request->string('id')->toString(), $lead, null, []);

        return ErrandAnswer::of($errand);
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
