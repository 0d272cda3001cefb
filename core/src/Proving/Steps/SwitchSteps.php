<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Steps;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Thing\SafetyOpened;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Job\SafetyKind;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Words\Message;

/**
 * Each overflow switch lifted and each load-shedding relay given its command, in a call that it has to stop: a contact
 * that is stuck or welded shows nowhere else.
 */
final readonly class SwitchSteps
{
    public function __construct(private Plan $plan, private Waits $waits, private AskedHouse $house)
    {
    }

    /**
     * @param  list<CallName>  $calls  that the house proves, in their order
     * @return list<Step>
     */
    public function all(array $calls): array
    {
        $steps = $numbers = [];
        foreach ($this->plan->installation->facts->safety as $device) {
            $stopped = $this->stopped($device, $calls);
            if ($stopped !== null) {
                $method = $device->kind === SafetyKind::Shedding ? Method::Shed : Method::FloatLift;
                $kind = "{$stopped[0]->value}.{$method->value}";
                $numbers[$kind] = ($numbers[$kind] ?? 0) + 1;
                $steps[] = $this->step($device, $method, $stopped[0], $stopped[1], $numbers[$kind]);
            }
        }

        return $steps;
    }

    /**
     * The first call in which it stops something, and what: cooling before all, where water is made and load is shed.
     *
     * @param  list<CallName>  $calls
     * @return ?array{CallName, non-empty-list<Load>} null where it stops nothing that is seen
     */
    private function stopped(SafetyDevice $device, array $calls): ?array
    {
        usort($calls, static fn (CallName $a, CallName $b): int => $b->isCooling() <=> $a->isCooling());
        foreach ($calls as $call) {
            $on = $this->house->state(Hands::calling($call))->pulledIn();
            $off = $this->house->state(self::opened($device, $call))->pulledIn();
            $stops = array_values(
                array_filter(
                    $this->plan->installation->archetype->loads,
                    static fn (Load $l): bool => $l->observable !== null &&
                        in_array($l->id, $on, true) &&
                        ! in_array($l->id, $off, true),
                ),
            );
            if ($stops !== []) {
                return [$call, $stops];
            }
        }

        return null;
    }

    private static function opened(SafetyDevice $device, CallName $call): Hands
    {
        return Hands::calling($call)->with(new SafetyOpened($device->id));
    }

    /** @param  non-empty-list<Load>  $stops */
    private function step(SafetyDevice $device, Method $method, CallName $call, array $stops, int $number): Step
    {
        $profile = $this->plan->profile;
        $hands = self::opened($device, $call);
        $made = CallTable::needed($this->plan->installation->archetype)->printed($call, $profile);
        $common = $this->plan->wiredCommon();
        $hot = $profile->mainHot();

        return new Step(
            call: $call,
            method: $method,
            setUpIsolated: false,
            do: Message::of(
                $method === Method::Shed
                    ? 'proving.supporting-steps.power-on-cooling-shed'
                    : 'proving.supporting-steps.power-on-cooling-called-running',
                device: $device->name(),
                call: $call->label(),
            ),
            closes: $this->plan->carriers($made),
            hot: (string) $hot?->printed,
            wait: $this->waits->of($call, $method),
            hands: $hands,
            waiting: $hands,
            probes: $common !== null && $hot !== null
                ? [
                    Measure::volts(
                        $hot->point(),
                        $common->point(),
                        Message::of('proving.supporting-steps.thermostat-stays-powered'),
                    ),
                ]
                : [],
            signs: [
                new Sign(
                    'stops',
                    Message::of(
                        'proving.signs.stops',
                        loads: array_map(static fn (Load $l): Message => $l->label->within(), $stops),
                    ),
                    'ear',
                    $stops[0]->id,
                    watches: array_map(static fn (Load $l): string => $l->observable->value ?? '', $stops),
                    still: true,
                ),
            ],
            restore: [
                Message::of(
                    $method === Method::Shed
                        ? 'proving.supporting-steps.shed-command-ended'
                        : 'proving.supporting-steps.down-again-free-move',
                    device: $device->name(),
                ),
            ],
            number: $number,
        );
    }
}
