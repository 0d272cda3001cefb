<?php

declare(strict_types=1);

namespace App\Records;

use App\Web\JobRequest;
use Illuminate\Support\Carbon;

/**
 * When something was read or seen, and what of the job was known then. A device that had no signal sends it later: it
 * is held against power, set-up and run as they stood for the person, and keeps its own time.
 */
final readonly class Taken
{
    /** The longest that a record may have waited on a device, in milliseconds: a week. */
    private const MOST_AGO = 604_800_000;

    public const RULES = [
        'ago' => ['nullable', 'integer', 'between:0,'.self::MOST_AGO],
        'knew' => ['nullable', 'integer', 'between:0,1000000'],
    ];

    /** @param  ?int  $before  place in the job's order before which everything was known then; null for now */
    private function __construct(public Carbon $at, public ?int $before)
    {
    }

    public static function now(): self
    {
        return new self(now(), null);
    }

    public static function of(JobRequest $request): self
    {
        $ago = $request->integer('ago');
        if ($ago <= 0) {
            return self::now();
        }
        $at = now()->subMilliseconds($ago);
        $opened = $request->job()->created_at;

        return new self(
            $at->isBefore($opened) ? $opened->copy() : $at,
            $request->filled('knew') ? $request->integer('knew') + 1 : null,
        );
    }

    /** Whether the job's order had come so far then. */
    public function knew(int $seq): bool
    {
        return $this->before === null || $seq < $this->before;
    }
}
