<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Equipment\EquipmentKind;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\OwnChoices;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/**
 * The airflow switches on a board taken back from its bus (MR19): over the bus the outdoor unit told the blower what to
 * give; on plain calls the switches do. Sources disagree on whether they were ever right, so it stays an open question.
 */
final readonly class AirflowSwitchesSetting implements OwnChoices, SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::AirflowSwitches;
    }

    public function value(Plan $plan): ?string
    {
        return $plan->installation->archetype->kind === EquipmentKind::Communicating ? 'by-sheet' : null;
    }

    public function choices(Plan $plan): array
    {
        return ['by-sheet' => $this->choice('by-sheet'), 'as-found' => $this->choice('as-found')];
    }

    public function accepts(string $choice): bool
    {
        return false;
    }

    public function isRequired(): bool
    {
        return true;
    }

    public function where(): Message
    {
        return Message::of('setting.airflow-switches.where');
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.airflow-switches.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.airflow-switches.reason');
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return Message::of('setting.airflow-switches.wrong');
    }
}
