<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Entry;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * What was understood of a one-line supply entry: "75 VA at the attic air handler, 3 A fuse, 240 V line, tap 240". One
 * place, and at least one figure; "no fuse" is a figure.
 */
final readonly class SupplyEntry
{
    /** Figures of a supply with the least and the most that is allowed of each. */
    private const BOUNDS = [
        'transformerVa' => [10.0, 200.0, Unit::VoltAmps],
        'fuseAmps' => [0.0, 30.0, Unit::Amps],
        'lineVolts' => [90.0, 300.0, Unit::Volts],
        'tapVolts' => [90.0, 300.0, Unit::Volts],
    ];

    private const NUMBER = '(\d+(?:[.,]\d+)?)';

    /**
     * @param  array<string, float>  $figures  by the key of their question
     * @param  list<Message>  $problems
     */
    private function __construct(public ?Place $place, public array $figures, public array $problems)
    {
    }

    /** @param  array<string, list<string>>  $names  words for each place of the house, by place, in any case */
    public static function parse(string $line, array $names): self
    {
        $text = ' '.mb_strtolower(trim($line)).' ';
        $patterns = [
            'transformerVa' => '/'.self::NUMBER.'\s*va(?![a-z])/',
            'tapVolts' => '/(?:tap\s*(?:at|on|of)?\s*'.
                self::NUMBER.
                '\s*v?(?![a-z])|'.
                self::NUMBER.
                '\s*v?\s*tap(?![a-z]))/',
            'lineVolts' => '/(?:line\s*(?:at|of)?\s*'.
                self::NUMBER.
                '\s*v?(?![a-z])|'.
                self::NUMBER.
                '\s*v?\s*line(?![a-z]))/',
            'fuseAmps' => '/'.self::NUMBER.'\s*a(?:mp|mps)?(?![a-z])/',
        ];
        $figures = $problems = [];
        foreach ($patterns as $key => $pattern) {
            if (preg_match($pattern, $text, $match) === 1) {
                $said = implode('', array_slice($match, 1));
                $figures[$key] = (float) str_replace(',', '.', $said);
                $text = str_replace($match[0], ' ', $text);
            }
        }
        if (preg_match('/\bno\s+fuse\b/', $text) === 1) {
            $figures['fuseAmps'] = 0.0;
        }
        foreach ($figures as $key => $value) {
            [$least, $most, $unit] = self::BOUNDS[$key];
            if ($value < $least || $value > $most) {
                $problems[] = Message::of(
                    'wiring.supply-entry.out-of-bounds',
                    value: Quantity::of($value, $unit),
                    least: Quantity::of($least, $unit),
                    most: Quantity::of($most, $unit),
                );
            }
        }
        $place = PlaceWords::found($text, $names)[0] ?? null;
        if ($place === null) {
            $problems[] = Message::of(
                'wiring.supply-entry.say-where-it-stands',
                places: array_values(array_filter(array_map(static fn (array $n): string => $n[0] ?? '', $names))),
            );
        }
        if ($figures === []) {
            $problems[] = Message::of('wiring.supply-entry.say-a-figure');
        }

        return new self($place, $figures, $problems);
    }
}
