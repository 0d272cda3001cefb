<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/**
 * What a setting entered otherwise would do, asked of the circuit: every call that the equipment has, and every call
 * that the thermostat then makes besides.
 */
final readonly class CallConsequence
{
    /** @param  array<string, list<string>>  $runs  loads that come in, ids by call that the thermostat then makes */
    private function __construct(private Archetype $archetype, private array $runs)
    {
    }

    public static function of(Plan $plan, SettingKey $key, string $choice): Message
    {
        $archetype = $plan->installation->archetype;
        $made = CallTable::made(
            $plan->profile,
            Derivation::callSettings($plan, [$key->value => $choice]),
            $archetype,
        );
        $runs = [];
        foreach ($made->calls() as $call) {
            $setup = Setup::ofCall($made, $call, $plan->profile);
            $runs[$call->value] = self::withState($archetype, $plan->circuit()->operate($setup));
        }
        $said = new self($archetype, $runs);
        $needed = CallTable::needed($archetype)->calls();
        $sentences = array_merge(
            [],
            ...array_map($said->ofNeeded(...), $needed),
            ...array_map(
                $said->ofExtra(...),
                array_udiff($made->calls(), [...$needed, CallName::Defrost], self::byName(...)),
            ),
        );

        return $sentences === []
            ? Message::of('setting.calls.no-difference')
            : Message::sentences(Message::unique($sentences));
    }

    private static function byName(CallName $a, CallName $b): int
    {
        return $a->value <=> $b->value;
    }

    /** @return list<string> */
    private static function withState(Archetype $archetype, OperatingPoint $point): array
    {
        return array_values(
            array_filter(
                $point->pulledIn(),
                static fn (string $id): bool => $archetype->load($id)?->kind->hasState() === true,
            ),
        );
    }

    /** @return list<Message> what is wrong in a call: loads that come in beside those needed, and such as stay out */
    private function ofNeeded(CallName $call): array
    {
        $in = $this->runs[$call->value] ?? null;
        if ($in === null) {
            return [$this->missing($call)];
        }
        $wanted = $this->archetype->needs[$call->value] ?? [];
        $allowed = [...$wanted, ...$this->archetype->allows[$call->value] ?? []];
        $dangers = $this->dangers($call, $in);
        $sentences = array_column($dangers, 'says');
        $told = array_merge([], ...array_column($dangers, 'of'));
        foreach ($this->archetype->loads as $load) {
            if ($load->observable !== null && in_array($load->observable, $told, true)) {
                continue;
            }
            if (in_array($load->id, $in, true) && ! in_array($load->id, $allowed, true)) {
                $sentences[] =
                    $load->observable === Observable::Blower && $this->blowsCold($call, $in)
                        ? Message::of(
                            'setting.calls.blows',
                            call: $call->label(),
                            load: $load->label,
                            source: $this->archetype->heatSource->value,
                        )
                        : Message::of('setting.calls.also', call: $call->label(), load: $load->label);
            } elseif (! in_array($load->id, $in, true) && in_array($load->id, $wanted, true)) {
                if ($load->kind->hasState()) {
                    $sentences[] = Message::of('setting.calls.at-rest', call: $call->label(), load: $load->label);
                }
            }
        }

        return $sentences;
    }

    /**
     * A call that the thermostat no longer makes: whether what it would run comes by another call, alone or with more.
     */
    private function missing(CallName $call): Message
    {
        $wanted = array_filter(
            $this->archetype->needs[$call->value] ?? [],
            fn (string $id): bool => $this->archetype->load($id)?->kind->hasState() === true,
        );
        $with = null;
        foreach ($this->runs as $other => $in) {
            // A defrost is the outdoor unit's, not the thermostat's to call.
            $own = $other === CallName::Defrost->value;
            if ($own || $wanted === [] || array_diff($wanted, $in) !== []) {
                continue;
            }
            if (array_diff($in, $wanted, $this->archetype->allows[$call->value] ?? []) === []) {
                return Message::of(
                    'setting.calls.only-as',
                    call: $call->label(),
                    other: CallName::from($other)->label(),
                );
            }
            $with ??= $other;
        }

        return $with === null
            ? Message::of('setting.calls.never', call: $call->label())
            : Message::of(
                'setting.calls.only-with-more',
                call: $call->label(),
                other: CallName::from($with)->label(),
            );
    }

    /** @return list<Message> a call that the equipment does not have: what it would run all the same */
    private function ofExtra(CallName $call): array
    {
        $in = $this->runs[$call->value];
        $idle = $this->runs[CallName::Idle->value] ?? [];
        $dangers = array_column($this->dangers($call, $in), 'says');
        $labels = [];
        foreach (array_diff($in, $idle) as $id) {
            $load = $this->archetype->load($id);
            if ($load?->observable !== null) {
                $labels[] = $load->label;
            }
        }

        return match (true) {
            $dangers !== [] => $dangers,
            $labels === [] => [Message::of('setting.calls.nothing', call: $call->label())],
            default => [Message::of('setting.calls.runs', call: $call->label(), loads: $labels)],
        };
    }

    /**
     * @param  list<string>  $in
     * @return list<array{says: Message, of: list<Observable>}> what must not run together, or without the other, and
     *     which loads it speaks of
     */
    private function dangers(CallName $call, array $in): array
    {
        $seen = [];
        foreach ($in as $id) {
            $observable = $this->archetype->load($id)?->observable;
            if ($observable !== null) {
                $seen[$observable->value] = true;
            }
        }
        $has = static fn (Observable ...$any): bool => array_intersect_key(
            $seen,
            array_flip(array_map(static fn (Observable $o): string => $o->value, $any)),
        ) !== [];
        $blows = $has(Observable::Blower) || $has(Observable::Burner);
        $turned = $this->turned($call, $in);
        $compressor = [Observable::OutdoorUnit, Observable::SecondStage];
        $said = [
            $has(Observable::Burner) && $has(Observable::OutdoorUnit) && $call !== CallName::Defrost
                ? [
                    'says' => Message::of('setting.calls.furnace-beside', call: $call->label()),
                    'of' => [...$compressor, Observable::Burner, Observable::HighBurner],
                ]
                : null,
            $has(Observable::Strip, Observable::Strip2) && ! $blows
                ? [
                    'says' => Message::of('setting.calls.strips-no-air', call: $call->label()),
                    'of' => [Observable::Blower],
                ]
                : null,
            $has(Observable::OutdoorUnit) && ! $blows
                ? [
                    'says' => Message::of('setting.calls.compressor-no-air', call: $call->label()),
                    'of' => [Observable::Blower],
                ]
                : null,
            $turned === null
                ? null
                : [
                    'says' => Message::of('setting.calls.turned', call: $call->label(), does: $turned),
                    'of' => [Observable::Valve],
                ],
            ! $this->archetype->reverses && $call->isHeating() && $has(Observable::OutdoorUnit)
                ? [
                    'says' => Message::of('setting.calls.cools-in-heat', call: $call->label()),
                    'of' => $compressor,
                ]
                : null,
        ];

        return array_values(array_filter($said));
    }

    /**
     * A blower that heat of this kind does not ask for: before the burner has lit, or beside radiators.
     *
     * @param  list<string>  $in
     */
    private function blowsCold(CallName $call, array $in): bool
    {
        $lit = array_filter(
            $in,
            fn (string $id): bool => $this->archetype->load($id)?->observable === Observable::Burner,
        );

        return $call->isHeating() && ($lit !== [] || $this->archetype->heatSource === HeatSource::Hydronic);
    }

    /**
     * A compressor that runs with the valve in the position of the other season.
     *
     * @param  list<string>  $in
     */
    private function turned(CallName $call, array $in): ?string
    {
        $valve = null;
        $runs = false;
        foreach ($this->archetype->loads as $load) {
            $valve = $load->observable === Observable::Valve ? $load->id : $valve;
            $runs = $runs || ($load->observable === Observable::OutdoorUnit && in_array($load->id, $in, true));
        }
        if ($valve === null || ! $runs || $call === CallName::Defrost) {
            return null;
        }
        $cools =
            in_array($valve, $in, true) ===
            in_array($valve, $this->archetype->needs[CallName::Cool1->value] ?? [], true);

        return match (true) {
            $call->isHeating() && $cools => 'cools',
            $call->isCooling() && ! $cools => 'heats',
            default => null,
        };
    }
}
