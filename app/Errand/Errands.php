<?php

declare(strict_types=1);

namespace App\Errand;

use App\Models\Crew\User;
use App\Models\Work\Errand;
use App\Models\Work\ErrandState;
use App\Words\Words;
use Illuminate\Contracts\Container\Container;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use LogicException;

/** Long work: begun by a request, run by the queue, forgotten after two days. */
final class Errands
{
    private const KEPT_HOURS = 48;

    /** @var array<string, class-string<Runs>> */
    private array $kinds = [];

    public function __construct(private readonly Container $container)
    {
    }

    /** @param  class-string<Runs>  $runs */
    public function register(string $runs): void
    {
        $this->kinds[$runs::kind()] = $runs;
    }

    public function runs(string $kind): Runs
    {
        $class = $this->kinds[$kind] ?? throw new LogicException("No work is called {$kind}.");
        $runs = $this->container->make($class);

        return $runs instanceof Runs ? $runs : throw new LogicException("{$class} does no work.");
    }

    /**
     * Begins it; the same id again is the same errand, unless it failed: then it is tried anew.
     *
     * @param  array<string, mixed>  $input
     * @param  list<UploadedFile>  $files  kept in its folder as `in-0`, `in-1`, …
     * @param  bool  $anew  although it was done: what it made is not there any more
     */
    public static function begin(
        string $kind,
        string $id,
        User $user,
        ?string $jobId,
        array $input,
        array $files = [],
        bool $anew = false,
    ): Errand {
        $known = self::known($kind, $id, $user, $jobId);
        $again = $known?->state === ErrandState::Failed || ($anew && $known?->state === ErrandState::Done);
        if ($known !== null && ! $again) {
            CutOff::again($known);

            return $known;
        }
        $errand = $known ?? new Errand();
        $errand->forceFill([
            'id' => $id,
            'crew_id' => $user->crew_id,
            'user_id' => $user->id,
            'kind' => $kind,
            'job_id' => $jobId,
            'state' => ErrandState::Waiting,
            'input' => [
                ...$input,
                'names' => array_map(static fn (UploadedFile $f): string => $f->getClientOriginalName(), $files),
            ],
            'errors' => null,
            'status' => 200,
            'begun' => 0,
        ]);
        foreach ($files as $index => $file) {
            if (Storage::disk('local')->putFileAs($errand->folder(), $file, "in-{$index}") === false) {
                abort(503);
            }
        }
        RunErrand::after($id, $errand->save(...));

        return $errand->refresh();
    }

    /** @throws ValidationException where the id is of other work */
    private static function known(string $kind, string $id, User $user, ?string $jobId): ?Errand
    {
        $known = Errand::query()->find($id);
        abort_if($known !== null && $known->user_id !== $user->id, 403);
        if ($known !== null && ($known->kind !== $kind || $known->job_id !== $jobId)) {
            throw ValidationException::withMessages(['id' => Words::of('records.append.id-belongs-another-job')]);
        }

        return $known;
    }

    /** What is older than two days goes, with its folder. */
    public static function tidy(): int
    {
        $old = Errand::query()->where('updated_at', '<', now()->subHours(self::KEPT_HOURS))->get();
        foreach ($old as $errand) {
            Storage::disk('local')->deleteDirectory($errand->folder());
            $errand->delete();
        }

        return count($old);
    }
}
