<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Writes one append-only row under the id that the client made. The same id again changes nothing. */
final class Append
{
    /**
     * @template T of Model
     *
     * @param  class-string<T>  $model
     * @param  callable(): array<string, mixed>  $attributes  worked out only if the row is new
     * @return T
     */
    public static function row(string $model, string $id, Job $job, User $user, callable $attributes): Model
    {
        return DB::transaction(static function () use ($model, $id, $job, $user, $attributes): Model {
            $known = $model::query()->find($id);
            if ($known instanceof $model) {
                if ($known->getAttribute('job_id') !== $job->id) {
                    throw ValidationException::withMessages(['id' => 'This id belongs to another job.']);
                }

                return $known;
            }
            $row = new $model;
            $row->forceFill(['id' => $id, 'job_id' => $job->id, 'user_id' => $user->id, 'at' => now(), ...$attributes()])->save();

            return $row;
        });
    }
}
