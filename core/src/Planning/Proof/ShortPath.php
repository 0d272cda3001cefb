<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Proof;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Solve\FuseCurve;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * A short as it would be on the wall: with the fuse held, where the current goes from hot to common, how much it is,
 * and how soon which fuse opens. Also two supplies that meet.
 */
final readonly class ShortPath
{
    /**
     * @param  list<Message>  $through  element labels from the hot side round to the common
     * @param  list<string>  $conductors  ids on the way, "A5"
     * @param  list<string>  $points  circuit points on the way
     */
    private function __construct(
        public string $call,
        public float $amps,
        public array $through,
        public array $conductors,
        public array $points,
        public Message $opens,
    ) {
    }

    /** The first call in which a fuse opens, at rest first; null where none does. */
    public static function of(Plan $plan): ?self
    {
        $circuit = $plan->circuit();
        foreach (Simulation::setups($plan) as $call => $setup) {
            $point = $circuit->operate($setup);
            if ($point->openFuses !== []) {
                return self::follow($circuit, $plan, $call, $setup, $point->openFuses[0]);
            }
        }

        return null;
    }

    private static function follow(
        Circuit $circuit,
        Plan $plan,
        string $call,
        Setup $setup,
        string $transformerId,
    ): self {
        $point = $circuit->operate($setup->withSlowFuse());
        $amps = $point->sourceAmps($transformerId);
        $loop = self::loop($point, $transformerId, 0.5 * $amps);
        $known = array_merge(
            ...array_map(static fn (Cable $cable): array => $cable->conductorIds(), $plan->installation->cables),
        );
        $labels = $conductors = $points = [];
        foreach ($loop as $element) {
            if ($element->kind !== ElementKind::Winding) {
                $labels[] = $element->label;
            }
            $conductors[] = $element->subject;
            array_push($points, $element->a, $element->b);
        }
        $rating = 0.0;
        foreach ($plan->installation->transformers() as $transformer) {
            $rating = $transformer->id === $transformerId ? (float) $transformer->fuseAmps : $rating;
        }
        [$fast, $slow] = [FuseCurve::seconds($amps / $rating, 0.0), FuseCurve::seconds($amps / $rating, 1.0)];
        $opens =
            $fast === null || $slow === null
                ? Message::of('planning.short-path.fuse-opens', rating: Quantity::of($rating, Unit::Amps))
                : Message::of(
                    'planning.short-path.fuse-opens-after',
                    rating: Quantity::of($rating, Unit::Amps),
                    fast: Quantity::roughly($fast, Unit::Number),
                    slow: Quantity::roughly($slow, Unit::Seconds),
                );

        return new self(
            $call,
            $amps,
            Message::unique($labels),
            array_values(array_intersect(array_unique($conductors), $known)),
            array_values(array_unique($points)),
            $opens,
        );
    }

    /**
     * Elements that carry most of the current, in the order of the way from the winding's hot end.
     *
     * @return list<Element>
     */
    private static function loop(OperatingPoint $point, string $transformerId, float $least): array
    {
        $winding = $point->netlist->element($transformerId);
        $heavy = array_filter(
            $point->netlist->elements,
            static fn (Element $e): bool => $e->id !== $transformerId &&
                ! $e->isOpen() &&
                $point->phasors->amps($e) >= $least,
        );
        $loop = [];
        $at = $winding->a;
        while ($heavy !== []) {
            $next = null;
            foreach ($heavy as $id => $element) {
                if ($element->a === $at || $element->b === $at) {
                    $next = $id;
                    break;
                }
            }
            if ($next === null) {
                break;
            }
            $at = $heavy[$next]->a === $at ? $heavy[$next]->b : $heavy[$next]->a;
            $loop[] = $heavy[$next];
            unset($heavy[$next]);
        }

        return $loop;
    }

    /**
     * @return array{call: string, amps: float, through: list<Message>, conductors: list<string>,
     *     points: list<string>, opens: Message}
     */
    public function toArray(): array
    {
        return [
            'call' => $this->call,
            'amps' => round($this->amps, 1),
            'through' => $this->through,
            'conductors' => $this->conductors,
            'points' => $this->points,
            'opens' => $this->opens,
        ];
    }
}
