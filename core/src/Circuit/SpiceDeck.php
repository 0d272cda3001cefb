<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

use Closure;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Words\Message;

/**
 * Writes a settled circuit as a deck that ordinary SPICE programs read: an AC operating point at the job's
 * frequency, every winding a source behind its resistance, every coil a resistance with an inductance in series.
 */
final class SpiceDeck
{
    public const HERTZ = 60.0;

    /**
     * @param  ?Closure(Message): string  $name  how an element is called in its comment
     * @return array{deck: string, nodes: array<string, string>} the deck, and its node name for each point
     */
    public static function write(Netlist $netlist, string $title, ?Closure $name = null): array
    {
        $nodes = [];
        $lines = ['* '.str_replace(["\r", "\n"], ' ', $title)];
        $number = 0;
        foreach ($netlist->elements as $element) {
            $a = $nodes[$element->a] ??= 'n'.(count($nodes) + 1);
            $b = $nodes[$element->b] ??= 'n'.(count($nodes) + 1);
            $lines = [...$lines, ...self::element($element, ++$number, $a, $b, $name)];
        }
        foreach ($nodes as $point => $node) {
            $lines[] = "* {$node} = {$point}";
            $lines[] = "Rg{$node} {$node} 0 1e9";
        }
        $hertz = self::HERTZ;
        $lines = [
            ...$lines,
            '.control',
            'set numdgt=12',
            "ac lin 1 {$hertz} {$hertz}",
            'print all',
            '.endc',
            '.end',
            '',
        ];

        return ['deck' => implode("\n", $lines), 'nodes' => $nodes];
    }

    /**
     * @param  ?Closure(Message): string  $name
     * @return list<string>
     */
    private static function element(Element $element, int $number, string $a, string $b, ?Closure $name): array
    {
        $lines = ["* {$element->id}: ".($name === null ? $element->subject : $name($element->label))];
        $ohms = sprintf('%.12g', $element->ohms);
        if ($element->emf !== 0.0) {
            return [
                ...$lines,
                "V{$number} e{$number} {$b} DC 0 AC ".sprintf('%.12g', $element->emf),
                "R{$number} e{$number} {$a} {$ohms}",
            ];
        }
        if ($element->reactance === 0.0) {
            return [...$lines, "R{$number} {$a} {$b} {$ohms}"];
        }

        return [
            ...$lines,
            "R{$number} {$a} m{$number} {$ohms}",
            "L{$number} m{$number} {$b} ".sprintf('%.12g', $element->reactance / (2.0 * M_PI * self::HERTZ)),
        ];
    }
}
