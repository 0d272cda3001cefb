<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Figure;

use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/** What a figure comes to. */
final readonly class Result
{
    /**
     * @param  list<array{label: Message, value: ?float, unit: string, formula: Message}>  $lines  value null where
     *     there is none, in US units
     * @param  string  $tone  verd, caution, fault or muted
     * @param  Message  $verdict  and what would change it
     * @param  list<array{label: Message, value: ?float, unit: string, formula: Message}>  $answers  of the
     *     lines those that stand large beside each other: what was asked
     * @param  ?array{
     *     x: Message, xUnit: string, y: string,
     *     series: list<array{name: Message, points: list<array{float, float}>}>,
     *     marks: list<array{x: float, name: Message}>}  $plot
     */
    public function __construct(
        public array $lines,
        public string $tone,
        public Message $verdict,
        public ?array $plot = null,
        public array $answers = [],
    ) {
    }

    /** @return array{label: Message, value: ?float, unit: string, formula: Message} */
    public static function line(Message $label, ?float $value, Unit $unit, Message $formula): array
    {
        return [
            'label' => $label,
            'value' => $value === null ? null : round($value, 3),
            'unit' => $unit->value,
            'formula' => $formula,
        ];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'lines' => $this->lines,
            'tone' => $this->tone,
            'verdict' => $this->verdict,
            'plot' => $this->plot,
            'answers' => $this->answers,
        ];
    }
}
