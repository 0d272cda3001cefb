<?php

declare(strict_types=1);

namespace App\Pages;

use App\Actions\CreateJob;
use App\Models\Job;
use App\Models\User;
use App\Support\Catalog;
use App\Support\PowerFlag;
use App\Support\Progress;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Wiring\Conductor;

/** The crew's jobs. */
final class JobsPage
{
    /** @return array<string, mixed> */
    public static function props(User $user): array
    {
        $jobs = $user->crew->jobs()->orderByRaw('handed_over_at is not null')->orderByDesc('updated_at')->limit(200)->get();

        return [
            'jobs' => array_values($jobs->map(self::row(...))->all()),
            'kinds' => CreateJob::KINDS,
            'archetypes' => array_map(static fn (Archetype $a): array => ['id' => $a->id, 'title' => $a->title], app(Catalog::class)->archetypes()),
        ];
    }

    /** @return array<string, mixed> */
    private static function row(Job $job): array
    {
        $house = $job->house();
        $progress = Progress::of($job);
        $tape = $progress->tape();
        $now = $job->handed_over_at === null ? array_values(array_filter($tape, static fn (array $s): bool => $s['state'] !== 'done'))[0] ?? $tape[4] : $tape[4];

        return [
            'id' => $job->id, 'site' => $job->site, 'address' => $job->address, 'kind' => $job->kind,
            'equipment' => $house->installation->archetype->short, 'cable' => ($house->installation->wallCable()->conductors ?? []) === [] ? 'not seen yet' : $house->installation->wallCable()?->label(),
            'strands' => array_map(static fn (Conductor $c): array => ['colour' => $c->colour->value, 'landed' => ! $c->isSpare()], $house->installation->wallCable()->conductors ?? []),
            'tape' => array_map(static fn (array $s): array => ['key' => $s['key'], 'name' => $s['name'], 'state' => $s['state'], 'n' => $s['n'], 'done' => $s['done']], $tape),
            'now' => ['key' => $now['key'], 'name' => $now['name'], 'word' => $now['word']],
            'power' => PowerFlag::of($job)->toArray(),
            'restore' => $progress->restore(),
            'handedOverAt' => $job->handed_over_at?->toIso8601String(), 'updatedAt' => $job->updated_at->toIso8601String(),
        ];
    }
}
