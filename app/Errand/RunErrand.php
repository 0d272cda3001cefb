<?php

declare(strict_types=1);

namespace App\Errand;

use App\Models\Work\Errand;
use App\Models\Work\ErrandState;
use App\Words\Words;
use Closure;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Storage;
use Throwable;

/** Runs one errand, in the name, the language and the units of whoever asked for it. */
final class RunErrand implements ShouldQueue
{
    use Dispatchable, InteractsWithQueue, Queueable;

    /** A worker that was cut off tries again; what fails by itself is not tried again. */
    public int $tries = 3;

    public int $timeout = 850;

    public function __construct(private readonly string $errand)
    {
    }

    public function handle(Errands $errands): void
    {
        $errand = Errand::query()->find($this->errand);
        if ($errand === null || $errand->state->isThrough()) {
            return;
        }
        $errand->forceFill(['state' => ErrandState::Running])->save();
        try {
            $result = self::as($errand, static fn (): array => $errands->runs($errand->kind)->run($errand));
            $errand->forceFill(['state' => ErrandState::Done, 'result' => $result])->save();
        } catch (Throwable $problem) {
            [$status, $errors] = Problems::of($problem);
            $errand->forceFill(['state' => ErrandState::Failed, 'status' => $status, 'errors' => $errors])->save();
        }
        foreach (array_keys((array) ($errand->input['names'] ?? [])) as $index) {
            Storage::disk('local')->delete($errand->folder()."/in-{$index}");
        }
    }

    /** After its last try, where a worker was cut off each time. */
    public function failed(?Throwable $problem): void
    {
        Errand::query()
            ->whereKey($this->errand)
            ->whereIn('state', [ErrandState::Waiting, ErrandState::Running])
            ->update([
                'state' => ErrandState::Failed,
                'status' => 503,
                'errors' => json_encode(['errand' => [Words::of('web.errand.cut-off')]]),
            ]);
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $does
     * @return T
     */
    private static function as(Errand $errand, Closure $does): mixed
    {
        $before = Auth::user();
        $locale = app()->getLocale();
        Auth::setUser($errand->user);
        app()->setLocale($errand->user->preferences()->language ?? config()->string('app.locale'));
        try {
            return $does();
        } finally {
            app()->setLocale($locale);
            $before === null ? Auth::forgetGuards() : Auth::setUser($before);
        }
    }
}
