<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Route;

use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * The order of the proofs that saves trips, power changes and waits: the orders that the trade uses are each walked
 * through in thought, with the equipment's own delays running meanwhile, and the quickest is taken.
 */
final readonly class Route
{
    /** @param  list<string>  $keys  of the steps, in order */
    private function __construct(
        public array $keys,
        public int $minutes,
        public int $waits,
        public int $powerChanges,
        public int $readings,
        public int $answers,
        public Message $reason,
    ) {
    }

    /**
     * @param  list<Step>  $steps  in the order of the calls: fan, cooling, heating, auxiliary, emergency
     * @param  list<string>  $proved  keys of steps that have passed
     * @param  ?Step  $last  done again after all others
     */
    public static function of(
        array $steps,
        School $school,
        Waits $waits,
        array $proved = [],
        ?Step $last = null,
    ): self {
        $byCall = [];
        foreach ($steps as $step) {
            $byCall[$step->call->value][] = $step;
        }
        $callByCall = array_values(
            array_filter(
                array_merge([], ...array_values(array_map($school->of(...), $byCall))),
                static fn (Step $s): bool => ! in_array($s->key(), $proved, true),
            ),
        );
        $end = $last === null ? [] : [$last];
        if ($school === School::Short) {
            return self::short(
                (new Walk($waits))->through([...(new ShortForm($waits))->order($callByCall), ...$end]),
            );
        }
        $order = $school->order();
        $wayByWay = $callByCall;
        usort(
            $wayByWay,
            static fn (Step $a, Step $b): int => (int) array_search($a->method, $order, true) <=>
                (int) array_search($b->method, $order, true),
        );

        $one = (new Walk($waits))->through([...$callByCall, ...$end]);
        $other = (new Walk($waits))->through([...$wayByWay, ...$end]);
        [$best, $second, $words, $instead] =
            $other->minutes() < $one->minutes()
                ? [
                    $other,
                    $one,
                    Message::of('proving.route.one-kind-proof-after-another'),
                    Message::of('proving.route.call-by-call'),
                ]
                : [
                    $one,
                    $other,
                    Message::of('proving.route.call-by-call-2'),
                    Message::of('proving.route.kind-by-kind'),
                ];
        $saved = $second->minutes() - $best->minutes();

        return new self(
            $best->keys,
            $best->minutes(),
            $best->waitMinutes(),
            $best->powerChanges,
            $best->readings,
            $best->answers,
            $best->keys === $second->keys || $saved === 0
                ? Message::of(
                    'proving.route.about-them-waiting',
                    minutes: Quantity::of($best->minutes(), Unit::Minutes),
                    waitMinutes: $best->waitMinutes(),
                )
                : Message::of(
                    'proving.route.about-them-waiting-power-changes',
                    words: $words,
                    minutes: Quantity::of($best->minutes(), Unit::Minutes),
                    waitMinutes: $best->waitMinutes(),
                    powerChanges: $best->powerChanges,
                    saved: $saved,
                    instead: $instead,
                    powerChanges2: $second->powerChanges,
                ),
        );
    }

    private static function short(Walk $walk): self
    {
        return new self(
            $walk->keys,
            $walk->minutes(),
            $walk->waitMinutes(),
            $walk->powerChanges,
            $walk->readings,
            $walk->answers,
            Message::of(
                'proving.route.short',
                minutes: Quantity::of($walk->minutes(), Unit::Minutes),
                waitMinutes: $walk->waitMinutes(),
                readings: $walk->readings,
                answers: $walk->answers,
                powerChanges: $walk->powerChanges,
            ),
        );
    }
}
