<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Words\Message;

/** Compares what the thermostat closes with the entered settings to what the equipment needs, call by call. */
final class SettingCheck
{
    /**
     * @param  array<string, string>  $entered  value by setting key
     * @return list<Finding>
     */
    public static function check(Plan $plan, array $entered): array
    {
        $findings = [];
        foreach (Derivation::all($plan) as $setting) {
            $value = $entered[$setting->key->value] ?? null;
            if ($value !== null && ! $setting->accepts($value)) {
                $findings[] = Finding::of(
                    'SET',
                    Severity::Error,
                    Message::of(
                        'setting.setting-check.stands-at-should-be',
                        setting: $setting->key->label(),
                        now: $setting->choiceLabel($value),
                        right: $setting->choiceLabel($setting->value),
                    ),
                    $setting->ifWrong($value) ?? $setting->reason,
                    Message::of(
                        'setting.setting-check.enter',
                        reason: $setting->reason,
                        menu: $setting->menuLabel,
                        choice: $setting->choices[$setting->value] ?? $setting->value,
                    ),
                );
            }
        }
        $made = CallTable::made(
            $plan->profile,
            Derivation::callSettings($plan, $entered),
            $plan->installation->archetype,
        );

        return [...$findings, ...self::notBrought($plan, $made), ...self::unused($plan, $made)];
    }

    /**
     * Calls that the landed house does not do, by the plan's own proof: what proves there has nothing against it here.
     *
     * @return list<Finding>
     */
    private static function notBrought(Plan $plan, CallTable $made): array
    {
        $findings = [];
        $proof = PlanProof::of($plan);
        $given = [];
        foreach ([...$proof->lost, ...$proof->raised] as ['call' => $call, 'why' => $why]) {
            $given[$call->value] = $why;
        }
        foreach ($proof->calls as $one) {
            if ($one->isProved()) {
                continue;
            }
            $closed = array_intersect($one->closes, $made->printed($one->call, $plan->profile));
            $nowhere = array_filter($closed, static fn (string $printed): bool => ! self::lands($plan, $printed));
            foreach ($nowhere as $printed) {
                $findings[] = Finding::of(
                    'SET',
                    Severity::Warning,
                    Message::of(
                        'setting.setting-check.closes-where-nothing-lands',
                        call: $one->call->label(),
                        name: $printed,
                    ),
                    Message::of('setting.setting-check.call-does-not-reach-equipment'),
                    Message::of('setting.setting-check.land-conductor-there-or-accept'),
                );
            }
            if ($nowhere === []) {
                $why = $given[$one->call->value] ?? null;
                $findings[] = Finding::of(
                    'SET',
                    $why === null ? Severity::Error : Severity::Note,
                    Message::of(
                        $why === null
                            ? 'setting.setting-check.not-proved'
                            : 'setting.setting-check.given-up-by-plan',
                        call: $one->call->label(),
                    ),
                    $why ?? Message::sentences($one->problems),
                    Message::of('setting.setting-check.plan-decides-it'),
                );
            }
        }

        return $findings;
    }

    /** Whether what the thermostat closes there goes anywhere: outputs at the equipment have leads of their own. */
    private static function lands(Plan $plan, string $printed): bool
    {
        return $plan->profile->outputs !== Place::Wall || $plan->landing->reaching($printed) !== [];
    }

    /**
     * What a choice changes of what the thermostat closes, in words: "Heat 1 closes G too".
     *
     * @param  array<string, string>  $entered
     * @return list<Message>
     */
    public static function effects(Plan $plan, array $entered, SettingKey $key, string $choice): array
    {
        if (! (Settings::of($key) instanceof DecidesCalls)) {
            return [];
        }
        $now = CallTable::made(
            $plan->profile,
            Derivation::callSettings($plan, $entered),
            $plan->installation->archetype,
        );
        $then = CallTable::made(
            $plan->profile,
            Derivation::callSettings($plan, [...$entered, $key->value => $choice]),
            $plan->installation->archetype,
        );
        $effects = [];
        foreach (CallTable::needed($plan->installation->archetype)->calls() as $call) {
            [$was, $is] = [$now->printed($call, $plan->profile), $then->printed($call, $plan->profile)];
            if ($now->has($call) && ! $then->has($call)) {
                $effects[] = Message::of('setting.setting-check.never-called', call: $call->label());
            } elseif (array_diff($is, $was) !== []) {
                $effects[] = Message::of(
                    'setting.setting-check.closes-too',
                    call: $call->label(),
                    is: array_values(array_diff($is, $was)),
                );
            }
            if ($then->has($call) && array_diff($was, $is) !== []) {
                $effects[] = Message::of(
                    'setting.setting-check.no-longer-closes',
                    call: $call->label(),
                    was: array_values(array_diff($was, $is)),
                );
            }
        }

        return $effects;
    }

    /** @return list<Finding> landed call conductors that these settings never use */
    private static function unused(Plan $plan, CallTable $made): array
    {
        $used = [];
        foreach ($made->calls() as $call) {
            array_push($used, ...$made->printed($call, $plan->profile));
        }
        $findings = [];
        foreach ($plan->landing->wall as $id => $end) {
            $terminal = $end->terminal === null ? null : $plan->profile->terminal($end->terminal);
            if ($terminal?->name->isCall() === true && ! in_array($terminal->printed, $used, true)) {
                $findings[] = Finding::of(
                    'SET',
                    Severity::Warning,
                    Message::of(
                        'setting.setting-check.has-conductor-no-call-closes',
                        terminal: $terminal->printed,
                        number: $plan->installation->wallConductor($id)->number ?? 0,
                    ),
                    Message::of('setting.setting-check.with-these-settings-nothing-ever'),
                    Message::of('setting.setting-check.look-at-settings-for-stages'),
                    [$id],
                );
            }
        }

        return $findings;
    }

    /**
     * The call table for the screen: calls by plate terminals, with what is closed now and what is needed.
     *
     * @param  array<string, string>  $entered
     * @return array{columns: list<array{printed: string, role: string}>, rows: list<array{call: string,
     *     label: Message, brought: bool, cells: list<array{closed: bool, needed: bool}>}>}
     */
    public static function table(Plan $plan, array $entered): array
    {
        $needed = CallTable::needed($plan->installation->archetype);
        $made = CallTable::made(
            $plan->profile,
            Derivation::callSettings($plan, $entered),
            $plan->installation->archetype,
        );
        $columns = array_map(
            static fn ($t): array => [
                'printed' => $t->printed,
                'role' => $t->name->isHot() ? 'hot' : ($t->name === TerminalName::C ? 'common' : 'call'),
            ],
            $plan->profile->terminals,
        );
        $proved = [];
        foreach (PlanProof::of($plan)->calls as $proof) {
            $proved[$proof->call->value] = $proof->isProved();
        }
        $rows = [];
        foreach ($needed->calls() as $call) {
            $cells = array_map(static function (PlateTerminal $t) use (
                $call,
                $made,
                $needed,
                $plan,
                $proved,
            ): array {
                $closed = in_array($t->printed, $made->printed($call, $plan->profile), true);
                // Where nothing lands, or in a call that the plan does not bring, it makes no difference.
                $reaches = self::lands($plan, $t->printed) && ($proved[$call->value] ?? true);

                return [
                    'closed' => $closed,
                    'needed' => $reaches
                        ? in_array($t->printed, $needed->printed($call, $plan->profile), true)
                        : $closed,
                ];
            }, $plan->profile->terminals);
            $rows[] = [
                'call' => $call->value,
                'label' => $call->label(),
                'brought' => $proved[$call->value] ?? true,
                'cells' => $cells,
            ];
        }

        return ['columns' => $columns, 'rows' => $rows];
    }
}
