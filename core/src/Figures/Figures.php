<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/** All figures; each with or without a house. */
final class Figures
{
    /** @return list<Figure> */
    public static function all(): array
    {
        return [
            new BalancePoint(),
            new TransformerLoad(),
            new VoltageDrop(),
            new FuseFigure(),
            new PrimaryTap(),
            new CoilCheck(),
            new CableToPull(),
            new AuxiliaryHeat(),
            new AirflowCheck(),
            new TemperatureSplit(),
        ];
    }

    public static function named(string $key): ?Figure
    {
        foreach (self::all() as $figure) {
            if ($figure->key() === $key) {
                return $figure;
            }
        }

        return null;
    }

    /**
     * The values for a figure: given ones checked, the others from the house or by default.
     *
     * @param  array<string, mixed>  $given
     * @return ?array<string, float> null while a needed input is still empty
     *
     * @throws InvalidData naming the input, the value and what is allowed
     */
    public static function values(Figure $figure, array $given, ?Plan $plan): ?array
    {
        $values = [];
        $whole = true;
        foreach ($figure->inputs($plan) as $input) {
            $value = array_key_exists($input->key, $given) ? $given[$input->key] : $input->value;
            if ($value === null || $value === '') {
                $whole = $whole && $input->optional;

                continue;
            }
            if (! is_numeric($value) || (float) $value < $input->min || (float) $value > $input->max) {
                throw InvalidData::notAllowed(
                    "/{$input->key}",
                    is_numeric($value) ? Quantity::of((float) $value, $input->unit) : $value,
                    Message::of(
                        'figures.input.range',
                        label: $input->label->within(),
                        min: Quantity::of($input->min, $input->unit),
                        max: Quantity::of($input->max, $input->unit),
                    ),
                );
            }
            $values[$input->key] = (float) $value;
        }

        return $whole ? $values : null;
    }
}
