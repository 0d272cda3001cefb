<?php

declare(strict_types=1);

namespace App\Set;

use App\House\House;
use App\House\Refused;
use App\Models\Job;
use App\Models\Record\SettingEntry;
use App\Records\Append;
use App\Records\Power\PowerFlag;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Words\Words;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Words\Message;

/** Settings as they are entered, each with the reason that stood behind it. */
final class SettingsController extends Controller
{
    public function __invoke(SettingRequest $request): JsonResponse
    {
        $job = $request->job();
        $value = $request->text('value');
        $setting = $this->derived($job, $request->text('key'));
        self::lit($job, $setting);
        $choices = array_map(strval(...), array_keys($setting->choices));
        if (! in_array($value, $choices, true)) {
            throw Refused::at(
                'value',
                Message::of(
                    'set.settings-controller.cannot-be-on-thermostat-use',
                    setting: $setting->key->label(),
                    value: $value,
                    allowed: $choices,
                ),
            );
        }
        $entry = [
            'key' => $setting->key->value,
            'value' => $value,
            'reason' => trim(Words::say(self::reason($setting, $value)).' '.$request->text('note')),
            'old_value' => $this->standing($job, $setting->key->value),
        ];
        $write = static fn (): array => $entry;
        $row = Append::row(SettingEntry::class, $request->id(), $job, $request->crewMember(), $write);

        return new JsonResponse(['id' => $row->id], 201);
    }

    /** A menu on a dark display cannot be opened: nothing was entered there. */
    private static function lit(Job $job, DerivedSetting $setting): void
    {
        $plan = House::of($job)->plan;
        $inMenu = $plan !== null && isset($plan->profile->menu[$setting->key->value]);
        $flag = PowerFlag::of($job);
        if ($inMenu && RunsOn::needsEquipment($plan) && $flag->isIsolated()) {
            throw Refused::at('power', Message::of('set.settings-controller.display-is-dark', flag: $flag->says()));
        }
    }

    /**
     * The derived reason; for an open question the source that was followed; for another value what the installer
     * said.
     */
    private static function reason(DerivedSetting $setting, string $value): Message
    {
        $followed = array_column($setting->open, 'source', 'value')[$value] ?? null;

        return match (true) {
            $followed !== null => Message::of('set.settings-controller.decided-for', source: $followed),
            $value === $setting->value => $setting->reason,
            default => Message::of('set.settings-controller.as-stands-in-thermostat'),
        };
    }

    private function standing(Job $job, string $key): ?string
    {
        $value = $job
            ->counting($job->settingEntries())
            ->where('key', $key)
            ->reorder()
            ->orderByDesc('seq')
            ->value('value');

        return is_string($value) ? $value : null;
    }

    private function derived(Job $job, string $key): DerivedSetting
    {
        $plan =
            House::of($job)->plan ??
            throw Refused::at('key', Message::of('set.settings-controller.choose-thermostat-first'));
        foreach (Derivation::all($plan) as $setting) {
            if ($setting->key->value === $key) {
                return $setting;
            }
        }
        throw Refused::at('key', Message::of('set.settings-controller.there-no-setting', setting: $key));
    }
}
