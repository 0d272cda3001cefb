<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Crew\User;
use App\Models\Job;
use App\Words\Words;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/**
 * Many rows out of a file behind what a job has. They are worked out before the transaction and written in few
 * statements, so that nobody waits long for the lock.
 */
final class AppendMany
{
    /** Rows of one statement. */
    private const AT_ONCE = 200;

    /** @var list<array{class-string<Model>, array<string, mixed>}> model, and the columns of a row but its place */
    private array $rows = [];

    public function __construct(private readonly string $jobId, private readonly User $user)
    {
    }

    /**
     * @param  class-string<Model>  $model
     * @param  array<string, mixed>  $attributes  with when it was, whether simulated, and of a proof whether as found
     */
    public function add(string $model, string $id, array $attributes): void
    {
        $row = new $model();
        $row->forceFill([
            'id' => $id,
            'job_id' => $this->jobId,
            'user_id' => $this->user->id,
            'simulated' => false,
            'created_at' => now(),
            ...Words::spoken($attributes),
        ]);
        $this->rows[] = [$model, $row->getAttributes()];
    }

    /** All of them in the order in which they were added. Only inside a transaction. */
    public function write(Job $job): void
    {
        if ($this->rows === []) {
            return;
        }
        $jobs = DB::table('jobs')->where('id', $job->id);
        $jobs->increment('recorded', count($this->rows));
        $last = $jobs->value('recorded');
        $seq = (is_int($last) ? $last : 0) - count($this->rows);
        $alike = [];
        foreach ($this->rows as [$model, $row]) {
            $alike[$model][implode(' ', array_keys($row))][] = [...$row, 'seq' => ++$seq];
        }
        foreach ($alike as $model => $kinds) {
            foreach ($kinds as $rows) {
                foreach (array_chunk($rows, self::AT_ONCE) as $some) {
                    $model::query()->toBase()->insert($some);
                }
            }
        }
        $job->forceFill(['recorded' => $last])->syncOriginalAttribute('recorded');
    }
}
