<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Steps;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Phase;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Words\Message;

/**
 * Readings along a chain, where a call arrives at the board and its load does not run: from the screw over each switch
 * and contact to the coil. The last point that still has its voltage stands before what is open.
 */
final readonly class ChainSteps
{
    public function __construct(private Plan $plan, private Waits $waits, private AskedHouse $house)
    {
    }

    /** Null where nothing stands between a screw and a load of the call. */
    public function of(CallName $call): ?Step
    {
        $archetype = $this->plan->installation->archetype;
        $made = CallTable::needed($archetype)->printed($call, $this->plan->profile);
        $hands = Hands::calling($call);
        $net = $this->house->state($hands)->netlist;
        $probes = [];
        foreach ($archetype->needs[$call->value] ?? [] as $id) {
            $load = $archetype->load($id);
            if ($load === null) {
                continue;
            }
            foreach (self::back($net, $load->from) as $point) {
                $probe = Measure::volts($point, $load->to, Message::of('proving.chain-steps.there-as-far-as-here'));
                $probes[$probe->key()] = $probe;
            }
        }

        return $probes === [] ? null : $this->step($made, $hands, array_values($probes));
    }

    /** Each supply from its line to its strip: before and behind the door switch, the fuse, the solder. */
    public function supply(): Step
    {
        $pairs = [];
        foreach ($this->plan->installation->transformers() as $supply) {
            $lead = static fn (Lead $lead): string => At::lead($supply->id, $lead)->id;
            array_push(
                $pairs,
                [$lead(Lead::Supply), $lead(Lead::Neutral)],
                [$lead(Lead::Line), $lead(Lead::Neutral)],
                [$lead(Lead::Winding), $lead(Lead::Return)],
                [$lead(Lead::Fused), $lead(Lead::Return)],
                [$supply->hot, $lead(Lead::Return)],
                [$supply->hot, $supply->common],
            );
        }
        $points = $this->house->circuit->atRest()->points;
        $there = array_filter($pairs, static fn (array $pair): bool => $points[$pair[0]]->probeable ?? false);
        $says = Message::of('proving.chain-steps.there-as-far-as-here');

        return $this->step(
            [],
            Hands::calling(),
            array_map(
                static fn (array $pair): Measure => Measure::volts($pair[0], $pair[1], $says),
                array_values($there),
            ),
        );
    }

    /**
     * @param  list<string>  $closes
     * @param  list<Measure>  $probes
     */
    private function step(array $closes, Hands $hands, array $probes): Step
    {
        return new Step(
            call: $hands->call,
            method: Method::Chain,
            setUpIsolated: false,
            do: Message::of('proving.chain-steps.power-on-one-probe-stays'),
            closes: $closes,
            hot: (string) $this->plan->profile->mainHot()?->printed,
            wait: $this->waits->of($hands->call, Method::Voltage),
            hands: $hands,
            waiting: $hands->at(Phase::Early),
            probes: $probes,
            signs: [],
            restore: [],
        );
    }

    /**
     * The points from a screw to a load, by switches and contacts that are closed; empty where the load hangs on its
     * screw.
     *
     * @return list<string>
     */
    private static function back(Netlist $net, string $from): array
    {
        $chain = [$from];
        $point = $from;
        while ($net->point($point)->terminal === null && count($chain) < 12) {
            $before =
                array_values(
                    array_filter(
                        $net->elements,
                        static fn (Element $e): bool => $e->b === $point &&
                            ! $e->isOpen() &&
                            in_array($e->kind, [ElementKind::SafetySwitch, ElementKind::Contact], true),
                    ),
                )[0] ?? null;
            if ($before === null || in_array($before->a, $chain, true)) {
                break;
            }
            $point = $before->a;
            array_unshift($chain, $point);
        }

        return count($chain) > 1 ? $chain : [];
    }
}
