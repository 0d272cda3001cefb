<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Words\Message;

/** What a jumper between two points would do that nobody wants: open a fuse, overload a supply, join two. */
enum Danger: string
{
    case Fuse = 'fuse';
    case Overload = 'overload';
    case Supplies = 'supplies';

    /** Times its rating that an unfused transformer gives where it is all but shorted; our working figure. */
    private const OVERLOADED = 2.5;

    /** Null where it does no harm. */
    public static function of(Circuit $circuit, Setup $setup, string $a, string $b): ?self
    {
        $joined = $setup->withJumper($a, $b);
        $point = $circuit->operate($joined);
        if (array_diff($point->openFuses, $circuit->operate($setup)->openFuses) !== []) {
            return self::Fuse;
        }
        foreach ($circuit->installation->transformers() as $transformer) {
            if ($point->mostAmps($transformer->id) * 24.0 > self::OVERLOADED * $transformer->ratingVa) {
                return self::Overload;
            }
        }

        return self::suppliesOn($circuit, $joined, $a) > self::suppliesOn($circuit, $setup, $a)
            ? self::Supplies
            : null;
    }

    /**
     * Screws beside those that a jumper stands on, where a slip does harm.
     *
     * @param  list<string>  $strip  points in the order in which they stand
     * @param  string  $hot  point that the jumper takes from
     * @param  list<string>  $used  points that it stands on
     * @return list<Message> each named with what a slip would do
     */
    public static function beside(Circuit $circuit, Setup $setup, array $strip, string $hot, array $used): array
    {
        $says = [];
        foreach ($strip as $n => $point) {
            $next = array_intersect([$strip[$n - 1] ?? '', $strip[$n + 1] ?? ''], $used);
            $danger =
                $next === [] || in_array($point, $used, true) ? null : self::of($circuit, $setup, $hot, $point);
            if ($danger !== null) {
                $says[] = Message::of(
                    'circuit.standing.beside',
                    screw: $circuit->point((string) array_values($next)[0])->label,
                    neighbor: $circuit->point($point)->label,
                    danger: $danger->value,
                );
            }
        }

        return $says;
    }

    /** How many windings copper joins to a point. */
    private static function suppliesOn(Circuit $circuit, Setup $setup, string $point): int
    {
        $net = $circuit->netlist($setup);
        $reached = $net->region($point, static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen());

        return count(
            array_filter(
                $net->elements,
                static fn (Element $e): bool => $e->kind === ElementKind::Winding &&
                    (isset($reached[$e->a]) || isset($reached[$e->b])),
            ),
        );
    }
}
