<?php

declare(strict_types=1);

namespace App\Models\Record;

use App\Models\Crew\User;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use LogicException;

/** A row that is written once. A correction is a new row. */
trait AppendOnly
{
    use HasUlids;

    public function initializeAppendOnly(): void
    {
        $this->mergeCasts(['simulated' => 'boolean', 'seq' => 'integer']);
    }

    public static function bootAppendOnly(): void
    {
        static::creating(static function (self $row): void {
            $row->created_at ??= now();
        });
        static::updating(static fn () => throw new LogicException('Records are append-only.'));
        static::deleting(static fn () => throw new LogicException('Records are append-only.'));
    }

    /** Who wrote it. A name that came out of a file is text of that file, and never a colleague of that name. */
    public function writtenBy(): string
    {
        $named = $this->getAttribute('from_file');

        $user = $this->getRelationValue('user');
        if (is_string($named)) {
            return $named === '' ? 'in the file, without a name' : "in the file: {$named}";
        }

        return $user instanceof User ? $user->name : '';
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
