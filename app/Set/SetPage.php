<?php

declare(strict_types=1);

namespace App\Set;

use App\House\FindingView;
use App\House\House;
use App\Models\Job;
use App\Models\Kind\Stage;
use App\Models\Record\SettingEntry;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingView;
use App\Stage\JobFrame;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Setting\SettingCheck;

final class SetPage
{
    /** @return array<string, mixed> */
    public static function props(Job $job, Plan $plan): array
    {
        $progress = Progress::of($job);
        $entered = Progress::entered($job);

        return [
            ...JobFrame::props($job, $plan->circuit(), $progress),
            'thermostat' => $plan->profile->title,
            'menuEntry' => $plan->profile->menuEntry,
            'needsPower' => RunsOn::needsEquipment($plan),
            'settings' => array_map(
                static fn (array $row): array => self::setting($plan, $entered, $row),
                // What follows from a wrong answer runs the circuit for it: worked out once for a house.
                House::keptOf(
                    $plan,
                    'settings',
                    static fn (Plan $of): array => array_map(
                        static fn (DerivedSetting $s): array => $s->toArray(),
                        Derivation::all($of),
                    ),
                ),
            ),
            'sisters' => self::sisters($job, $plan),
            'history' => array_values(
                $job
                    ->settingEntries()
                    ->with('user')
                    ->get()
                    ->map(
                        static fn (SettingEntry $e): array => [
                            'key' => $e->key,
                            'value' => $e->value,
                            'old' => $e->old_value,
                            'reason' => $e->reason,
                            'by' => $e->writtenBy(),
                            'at' => $e->at->toIso8601String(),
                            'simulated' => $e->simulated,
                        ],
                    )
                    ->all(),
            ),
            'table' => SettingCheck::table($plan, $entered),
            'findings' => FindingView::all(SettingCheck::check($plan, $entered)),
            'readings' => ReadingView::log($job, Stage::Set),
        ];
    }

    /**
     * @param  array<string, string>  $entered
     * @param  array<string, mixed>  $row  of a setting, as it follows from the house
     * @return array<string, mixed>
     */
    private static function setting(Plan $plan, array $entered, array $row): array
    {
        $key = is_string($row['key']) ? $row['key'] : '';
        $choices = [];
        foreach ((array) $row['choices'] as $choice) {
            $choice = (array) $choice;
            $choices[] = [
                ...$choice,
                'effects' => SettingCheck::effects(
                    $plan,
                    $entered,
                    SettingKey::from($key),
                    is_string($choice['value'] ?? null) ? $choice['value'] : '',
                ),
            ];
        }

        return [...$row, 'choices' => $choices, 'entered' => $entered[$key] ?? null];
    }

    /**
     * @return list<array{id: string, label: string, values: array<string, string>}> other jobs of the site with this
     *     thermostat, and what was entered there
     */
    private static function sisters(Job $job, Plan $plan): array
    {
        $sisters = [];
        foreach (
            Job::query()
                ->whereNull('practice_of_id')
                ->with('system')
                ->whereHas('system', static fn ($systems) => $systems->where('site_id', $job->system->site_id))
                ->whereKeyNot($job->id)
                ->get() as $sister
        ) {
            $values =
                House::of($sister)->plan?->profile->id === $plan->profile->id ? Progress::entered($sister) : [];
            if ($values !== []) {
                $sisters[] = [
                    'id' => $sister->id,
                    'label' => "{$sister->site}, {$sister->system->name}",
                    'values' => $values,
                ];
            }
        }

        return $sisters;
    }
}
