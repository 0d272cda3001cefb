<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Job;
use App\Models\SettingEntry;
use App\Support\Progress;
use Unionbit\Core\Planning\Plan;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
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
            'settings' => array_map(static fn (DerivedSetting $s): array => [...$s->toArray(), 'entered' => $entered[$s->key->value] ?? null], Derivation::all($plan)),
            'history' => array_values($job->settingEntries()->with('user')->get()->map(static fn (SettingEntry $e): array => [
                'key' => $e->key, 'value' => $e->value, 'old' => $e->old_value, 'by' => $e->user->name, 'at' => $e->at->toIso8601String(),
            ])->all()),
            'table' => SettingCheck::table($plan, $entered),
            'findings' => FindingView::all(SettingCheck::check($plan, $entered)),
            'readings' => ReadingView::log($job, 'set'),
        ];
    }
}
