<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Meter;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Explain\Path;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;

/**
 * 0 V across a closed switch reads the same with the switch open and the load's path broken. What parts the two is a
 * pair on which the volts are there with the switch closed and not with it open: one of the two points against a
 * common, both asked of the circuit.
 */
final readonly class Decider
{
    /** The open reading counts as this much more before the closed one is another: hand meter, sagging supply. */
    private const APART = 1.15;

    /** @param  list<OperatingPoint>  $closed  nominal first, then each corner of the tolerances */
    public function __construct(private Circuit $circuit, private Setup $setup, private array $closed)
    {
    }

    /** Whether a reading along this path leaves two explanations open. */
    public static function isAsked(Path $path): bool
    {
        return $path->isCopper() && $path->ofKind(ElementKind::ThermostatSwitch, ElementKind::Jumper) !== [];
    }

    /**
     * @return ?array{string, string} null where no pair of volts parts them: nothing is fed here
     */
    public function pair(Path $path, string $a, string $b): ?array
    {
        $switches = $path->ofKind(ElementKind::ThermostatSwitch) ?: $path->ofKind(ElementKind::Jumper);
        $open = array_map(
            fn (Element $e): OperatingPoint => $this->circuit->operate($this->setup->with(new Opened($e->part()))),
            $switches,
        );
        foreach ([$b, $a] as $point) {
            foreach ($this->commons($point) as $common) {
                if (array_all($open, fn (OperatingPoint $o): bool => $this->parts($o, $point, $common))) {
                    return [$point, $common];
                }
            }
        }

        return null;
    }

    private function parts(OperatingPoint $open, string $a, string $b): bool
    {
        $without = $open->between($a, $b);
        $least = $without === null ? Expectation::GHOST_VOLTS : self::APART * $without + Meter::VOLT_FLOOR;

        return array_all(
            $this->closed,
            static fn (OperatingPoint $p): bool => ($p->between($a, $b) ?? 0.0) - Meter::VOLT_FLOOR > $least,
        );
    }

    /** @return list<string> points on the common of a supply: where the person stands first, screws named C first */
    private function commons(string $point): array
    {
        $netlist = $this->closed[0]->netlist;
        $place = $netlist->point($point)->place;
        $commons = [];
        foreach ($this->circuit->installation->transformers() as $transformer) {
            foreach (self::onCopper($netlist, $transformer->common) as $common) {
                $commons[$common->id] = [
                    $common->place === $place ? 0 : 1,
                    $common->kind === PointKind::Screw ? 0 : 1,
                    $common->terminal === 'C' ? 0 : 1,
                ];
            }
        }
        asort($commons);

        return array_map(strval(...), array_keys($commons));
    }

    /** @return list<Point> */
    private static function onCopper(Netlist $netlist, string $start): array
    {
        $reached = $netlist->region($start, static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen());

        return array_values(
            array_filter(
                array_intersect_key($netlist->points, $reached),
                static fn (Point $p): bool => $p->probeable && ! $p->isLine(),
            ),
        );
    }
}
