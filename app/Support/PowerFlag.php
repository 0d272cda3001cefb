<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Job;
use App\Models\PowerEvent;
use Illuminate\Support\Carbon;

/** The power flag of a job: live, isolated and proved dead, or not proved. Isolation lapses by itself. */
final readonly class PowerFlag
{
    private function __construct(public string $state, public ?float $volts, public ?Carbon $at, public bool $lapsed)
    {
    }

    public static function of(Job $job): self
    {
        $last = $job->powerEvents()->reorder()->orderByDesc('at')->orderByDesc('id')->first();
        if ($last === null) {
            return new self('not-proved', null, null, false);
        }
        $lapsed = $last->state === 'isolated' && $last->at->copy()->addMinutes(config()->integer('unionbit.isolated_minutes'))->isPast();

        return new self($lapsed ? 'not-proved' : $last->state, $last->volts, $last->at, $lapsed);
    }

    /** The flag as it stood when something was recorded. */
    public static function as(string $state): self
    {
        return new self($state, null, null, false);
    }

    public function isLive(): bool
    {
        return $this->state === 'live';
    }

    public function isIsolated(): bool
    {
        return $this->state === 'isolated';
    }

    /** The words for a refusal: "the power flag says live". */
    public function says(): string
    {
        return match ($this->state) {
            'live' => 'the power flag says LIVE',
            'isolated' => 'the power flag says ISOLATED',
            default => $this->lapsed ? 'proved dead has lapsed after 30 minutes' : 'power is not proved either way',
        };
    }

    /** When the power last came on, or went off: the event that began the present run of one state. */
    public static function since(Job $job, string $state): ?Carbon
    {
        $since = null;
        $previous = null;
        foreach ($job->powerEvents()->get() as $event) {
            /** @var PowerEvent $event */
            if ($event->state === $state && $previous !== $state) {
                $since = $event->at;
            }
            $previous = $event->state;
        }

        return $since;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'state' => $this->state, 'volts' => $this->volts, 'at' => $this->at?->toIso8601String(), 'lapsed' => $this->lapsed,
            'lapsesAt' => $this->isIsolated() ? $this->at?->copy()->addMinutes(config()->integer('unionbit.isolated_minutes'))->toIso8601String() : null,
        ];
    }
}
