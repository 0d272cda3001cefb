<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Models\Job;
use App\Models\User;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use LogicException;

/** A row that is written once. A correction is a new row. */
trait AppendOnly
{
    use HasUlids;

    public static function bootAppendOnly(): void
    {
        static::creating(static function (self $row): void {
            $row->created_at ??= now();
        });
        static::updating(static fn () => throw new LogicException('Records are append-only.'));
        static::deleting(static fn () => throw new LogicException('Records are append-only.'));
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
