<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Entry;

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/**
 * What was understood of a one-line cable entry: "second wall cable 18/5 to the attic air handler", "18/2 attic > yard
 * 40 ft". Gauge and count as jackets are printed, a length where one is said, one or two places; with one place the
 * cable comes from the wall.
 */
final readonly class CableEntry
{
    /** Feet taken where no length is said: the middle of what houses have, an assumption. */
    public const FEET = 40.0;

    /** In the order in which jackets of these counts are made. */
    private const COLOURS = [
        Colour::Red,
        Colour::White,
        Colour::Green,
        Colour::Yellow,
        Colour::Blue,
        Colour::Brown,
        Colour::Orange,
        Colour::Black,
        Colour::Pink,
        Colour::Tan,
    ];

    /** @param  list<Message>  $problems */
    private function __construct(
        public ?Place $from,
        public ?Place $to,
        public ?int $gauge,
        public int $count,
        public ?float $feet,
        public array $problems,
    ) {
    }

    /**
     * @param  array<string, list<string>>  $names  words for each place of the house, by place, in any case
     */
    public static function parse(string $line, array $names): self
    {
        $text = ' '.mb_strtolower(trim($line)).' ';
        $problems = [];
        $gauge = null;
        $count = 0;
        if (preg_match('~(?<!\d)(\d{1,2})\s*/\s*(\d{1,2})(?!\d)~', $text, $size) === 1) {
            [$gauge, $count] = [(int) $size[1], (int) $size[2]];
            $text = str_replace($size[0], ' ', $text);
        } elseif (preg_match('/\b(\d{2})\s*(?:awg|gauge)\b/', $text, $size) === 1) {
            $gauge = (int) $size[1];
            $text = str_replace($size[0], ' ', $text);
        }
        if ($gauge !== null && ! isset(Cable::OHMS_PER_FOOT[$gauge])) {
            $problems[] = Message::of(
                'wiring.cable-entry.no-such-gauge',
                gauge: $gauge,
                gauges: array_map(strval(...), array_keys(Cable::OHMS_PER_FOOT)),
            );
        }
        if ($count > count(self::COLOURS) || ($size !== [] && $count < 1 && str_contains($size[0], '/'))) {
            $problems[] = Message::of(
                'wiring.cable-entry.no-such-count',
                count: $count,
                most: count(self::COLOURS),
            );
        }
        $feet = null;
        if (
            preg_match('/(\d+(?:[.,]\d+)?)\s*(ft|feet|foot|\'|m|meters?|metres?)(?![a-z])/', $text, $length) === 1
        ) {
            $feet =
                (float) str_replace(',', '.', $length[1]) *
                ($length[2][0] === 'm' ? 1.0 / Unit::METERS_PER_FOOT : 1.0);
            $text = str_replace($length[0], ' ', $text);
            if ($feet < Cable::LEAST_FEET || $feet > Cable::MOST_FEET) {
                $problems[] = Message::of(
                    'wiring.cable-entry.no-such-length',
                    length: $length[1].' '.$length[2],
                );
            }
        }
        [$from, $to] = self::ends(PlaceWords::found($text, $names));
        if ($to === null) {
            $problems[] = Message::of(
                'wiring.cable-entry.say-where-it-goes',
                places: array_values(array_filter(array_map(static fn (array $n): string => $n[0] ?? '', $names))),
            );
        } elseif ($from === $to || $from->isOutdoors()) {
            $problems[] = Message::of('wiring.cable-entry.runs-between-two-places');
        }

        return new self($from, $to, $gauge, $count, $feet, $problems);
    }

    /** The cable that the line describes, its conductors as jackets of that count are made, none of them looked at. */
    public function cable(string $id): Cable
    {
        if ($this->problems !== [] || $this->from === null || $this->to === null) {
            throw new \LogicException('The entry is not complete.');
        }
        $conductors = [];
        for ($number = 1; $number <= $this->count; $number++) {
            $conductors[] = new Conductor(
                $number,
                self::COLOURS[$number - 1],
                End::free(),
                End::free(),
                Evidence::Unknown,
            );
        }

        return new Cable($id, $this->from, $this->to, $this->gauge ?? 18, $this->feet ?? self::FEET, $conductors);
    }

    /**
     * @param  list<Place>  $found
     * @return array{Place, ?Place} a cable runs away from the wall, and from indoors to outdoors
     */
    private static function ends(array $found): array
    {
        $found = array_values(array_filter($found, static fn (Place $p): bool => $p !== Place::Wall));
        $from = count($found) > 1 ? $found[0] : Place::Wall;
        $to = $found[1] ?? ($found[0] ?? null);

        return $to !== null && $from->isOutdoors() && ! $to->isOutdoors() ? [$to, $from] : [$from, $to];
    }
}
