<?php

declare(strict_types=1);

namespace App\Records;

use App\House\House;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Kind\Stage;
use App\Models\Record\Observation;
use App\Models\Record\Reading;
use App\Models\Record\StepEvent;
use App\Models\Record\Waiver;
use App\Words\Words;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Unionbit\Core\Words\Message;

/**
 * Writes one append-only row under the id that the client made. The same id again changes nothing. Whether the job
 * still takes records is asked inside the transaction, which holds the write lock: a record in flight cannot pass a
 * handover. Its place in the job's order is given here, by the server.
 */
final class Append
{
    /** Records of a proof: they belong to the thermostat that it was made on. */
    private const ON_A_THERMOSTAT = [Reading::class, Observation::class, StepEvent::class, Waiver::class];

    /**
     * @template T of Model
     *
     * @param  class-string<T>  $model
     * @param  callable(Job): array<string, mixed>  $attributes  worked out only if the row is new, from the job as it
     *                                                           stands; messages in it are kept as they were said
     * @return T
     *
     * @throws AuthorizationException where the job was handed over or put away meanwhile
     */
    public static function row(string $model, string $id, Job $job, User $user, callable $attributes): Model
    {
        return DB::transaction(static function () use ($model, $id, $job, $user, $attributes): Model {
            $known = $model::query()->find($id);
            if ($known instanceof $model) {
                if ($known->getAttribute('job_id') !== $job->id) {
                    throw Refused::at('id', Message::of('records.append.id-belongs-another-job'));
                }

                return $known;
            }
            self::open($job);

            return self::write($model, $id, $job, $user, $attributes($job));
        });
    }

    /** @throws AuthorizationException where the job takes no records any more; only inside a transaction */
    public static function open(Job $job): void
    {
        $job->refresh();
        if ($job->handed_over_at !== null) {
            throw new AuthorizationException('This job was handed over: nothing was written.');
        }
        if ($job->trashed()) {
            throw new AuthorizationException('This job was put away: nothing was written.');
        }
    }

    /**
     * The row itself, next in the job's order. Only inside a transaction.
     *
     * @template T of Model
     *
     * @param  class-string<T>  $model
     * @param  array<string, mixed>  $attributes
     * @return T
     */
    public static function write(string $model, string $id, Job $job, User $user, array $attributes): Model
    {
        $row = new $model();
        $row->forceFill([
            'id' => $id,
            'job_id' => $job->id,
            'user_id' => $user->id,
            'at' => now(),
            'simulated' => $job->isPractice(),
            ...in_array($model, self::ON_A_THERMOSTAT, true)
                ? ['as_found' => self::isOfProof($attributes) && House::of($job)->isAsFound()]
                : [],
            ...Words::spoken($attributes),
            'seq' => self::next($job),
        ])->save();

        return $row;
    }

    /** @param  array<string, mixed>  $attributes */
    private static function isOfProof(array $attributes): bool
    {
        return ($attributes['stage'] ?? Stage::Prove) === Stage::Prove;
    }

    private static function next(Job $job): int
    {
        $jobs = DB::table('jobs')->where('id', $job->id);
        $jobs->increment('recorded');
        $seq = $jobs->value('recorded');
        $job->forceFill(['recorded' => $seq])->syncOriginalAttribute('recorded');

        return is_int($seq) ? $seq : 0;
    }
}
