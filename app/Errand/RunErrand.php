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
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Throwable;

/** Runs one errand, in the name, the language and the units of whoever asked for it. */
final class RunErrand implements ShouldQueue
{
    use Dispatchable, InteractsWithQueue, Queueable;

    /** The queue's own tries; what was cut off is begun anew long before those: see {@see CutOff}. */
    public int $tries = 3;

    public int $timeout = 850;

    /** How often it is begun: what ends every worker that does it is said to be cut off, and not tried again. */
    private const MOST_BEGUN = 3;

    public function __construct(private readonly string $errand)
    {
    }

    /**
     * Puts an errand into the queue together with what is written of it, both or neither, so that what waits is always
     * in the queue; without a queue it is done at once, once that is written.
     *
     * @param  Closure(): bool  $writes  whether it is to be begun
     */
    public static function after(string $errand, Closure $writes): bool
    {
        if (config('queue.default') === 'sync') {
            $begins = $writes();
            if ($begins) {
                self::dispatch($errand);
            }

            return $begins;
        }

        return DB::transaction(static function () use ($errand, $writes): bool {
            $begins = $writes();
            if ($begins) {
                self::dispatch($errand);
            }

            return $begins;
        });
    }

    public function handle(Errands $errands): void
    {
        $asked = Errand::query()->find($this->errand);
        $hold = $asked === null || $asked->state->isThrough() ? null : Hold::take($asked);
        if ($hold === null) {
            return;
        }
        try {
            // As it stands now that nobody else does it.
            $errand = Errand::query()->find($this->errand);
            if ($errand !== null && ! $errand->state->isThrough()) {
                $errand->begun < self::MOST_BEGUN ? self::does($errand, $errands) : $this->failed(null);
            }
        } finally {
            $hold->release();
        }
    }

    private static function does(Errand $errand, Errands $errands): void
    {
        $errand->forceFill(['state' => ErrandState::Running, 'begun' => $errand->begun + 1])->save();
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
            ->open()
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
