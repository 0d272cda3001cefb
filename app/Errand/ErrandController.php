<?php

declare(strict_types=1);

namespace App\Errand;

use App\Models\Work\Errand;
use App\Web\Controller;
use App\Web\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** How far an errand is, and the file that it made: for whoever asked for it. */
final class ErrandController extends Controller
{
    public function show(Request $request, string $errand): JsonResponse
    {
        $own = self::own($request, $errand);
        CutOff::again($own);

        return ErrandAnswer::of($own);
    }

    public function file(Request $request, string $errand): StreamedResponse
    {
        $made = self::own($request, $errand);
        $text = static fn (string $key): string => is_string($made->result[$key] ?? null) ? $made->result[$key] : '';
        $path = $made->folder().'/'.basename($text('file'));
        abort_unless($text('file') !== '' && Storage::disk('local')->exists($path), 404);

        return Storage::disk('local')->download($path, $text('fileName'), ['Content-Type' => $text('fileType')]);
    }

    private static function own(Request $request, string $errand): Errand
    {
        return Errand::query()->where('user_id', self::user($request)->id)->findOrFail($errand);
    }
}
