<?php

declare(strict_types=1);

namespace App\Document;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Job\EquipmentFrom;
use Unionbit\Core\Words\Message;

/**
 * An edit beside those that others made since the person saw the document: both are kept where they do not touch. Two
 * edits touch where they change the same thing, or one changes a part of what the other does.
 */
final class Beside
{
    /** Follow from the answers while nobody has chosen the equipment: two answers do not touch over them. */
    private const FOLLOWS = ['survey/archetype', 'survey/equipmentFrom'];

    /**
     * Changes the job's attributes and saves nothing.
     *
     * @param  int  $version  that the person saw
     *
     * @throws StaleEdit where the edits touch
     * @throws Refused where the house as the person saw it does not take it either
     */
    public static function apply(Job $job, User $by, int $version, Edit $edit): Message
    {
        $seen = $edit instanceof Apart ? $job->revisions()->where('version', $version)->first() : null;
        if ($seen === null) {
            throw new StaleEdit($job, $version);
        }
        $theirs = Changed::between(['survey' => $seen->survey, 'plan' => $seen->plan], self::document($job));
        $after = clone $job;
        try {
            $what = $edit->apply($after, $by);
        } catch (Refused $refused) {
            $then = clone $job;
            [$then->survey, $then->plan] = [$seen->survey, $seen->plan];
            $edit->apply($then, $by);
            // It was taken there: what stands in its way is what the others did.
            throw new StaleEdit($job, $version);
        }
        $mine = Changed::between(self::document($job), self::document($after));
        if (Changed::touch(self::said($mine, $job), self::said($theirs, $job))) {
            throw new StaleEdit($job, $version);
        }
        foreach ($after->getDirty() as $key => $_) {
            $job->setAttribute($key, $after->getAttribute($key));
        }

        return $what;
    }

    /** @return array{survey: array<string, mixed>, plan: ?array<string, mixed>} */
    private static function document(Job $job): array
    {
        return ['survey' => $job->survey, 'plan' => $job->plan];
    }

    /**
     * @param  list<string>  $paths
     * @return list<string> without what nobody said
     */
    private static function said(array $paths, Job $job): array
    {
        $person = EquipmentFrom::Person->value;

        return ($job->survey['equipmentFrom'] ?? $person) === $person
            ? $paths
            : array_values(array_diff($paths, self::FOLLOWS));
    }
}
