<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

/** What a figure comes to. */
final readonly class Result
{
    /**
     * @param  list<array{label: string, value: ?float, unit: string, formula: string}>  $lines  value null where there is none, in US units
     * @param  string  $tone  verd, caution, fault or muted
     * @param  string  $verdict  and what would change it
     * @param  ?array{x: string, y: string, series: list<array{name: string, points: list<array{float, float}>}>, marks: list<array{x: float, name: string}>}  $plot
     */
    public function __construct(
        public array $lines,
        public string $tone,
        public string $verdict,
        public ?array $plot = null,
    ) {
    }

    /** @return array{label: string, value: ?float, unit: string, formula: string} */
    public static function line(string $label, ?float $value, string $unit, string $formula): array
    {
        return [
            'label' => $label,
            'value' => $value === null ? null : round($value, 3),
            'unit' => $unit,
            'formula' => $formula,
        ];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['lines' => $this->lines, 'tone' => $this->tone, 'verdict' => $this->verdict, 'plot' => $this->plot];
    }
}
