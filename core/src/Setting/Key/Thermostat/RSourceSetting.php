<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** One R with the link in, or Rc and Rh apart. */
final readonly class RSourceSetting implements SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::RSource;
    }

    public function value(Plan $plan): ?string
    {
        return $plan->profile->link === null ? null : ($plan->landing->linkIn ? 'one' : 'two');
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.r-source.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of(
            'setting.r-source.reason',
            choice: match (true) {
                $value === 'one' => 'one',
                $plan->landing->plugIn => 'plug-in',
                default => 'two',
            },
        );
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        $proofs = Simulation::prove($plan->landed($plan->landing->withLink($choice === 'one')));
        $problems = Message::unique(array_merge(...array_column($proofs, 'problems')));

        return $problems === []
            ? Message::of('setting.calls.no-difference')
            : Message::sentences(array_slice($problems, 0, 3));
    }
}
