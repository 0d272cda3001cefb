<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Figures\Air\AirflowCheck;
use Unionbit\Core\Figures\Air\AuxiliaryHeat;
use Unionbit\Core\Figures\Air\BalancePoint;
use Unionbit\Core\Figures\Air\ChargeCheck;
use Unionbit\Core\Figures\Air\ReturnAir;
use Unionbit\Core\Figures\Air\TemperatureSplit;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Supply\CoilCheck;
use Unionbit\Core\Figures\Supply\FuseFigure;
use Unionbit\Core\Figures\Supply\PrimaryTap;
use Unionbit\Core\Figures\Supply\TransformerLoad;
use Unionbit\Core\Figures\Supply\VoltageDrop;
use Unionbit\Core\Figures\Work\CableToPull;
use Unionbit\Core\Figures\Work\GasPressure;
use Unionbit\Core\Figures\Work\TwoWays;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\OfPart;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/** All figures; each with or without a house. */
final class Figures
{
    /** @return list<Figure> those of a house: what a supply has by itself, once for each of several */
    public static function of(?Plan $plan): array
    {
        $further = array_slice($plan?->installation->transformers() ?? [], 1);

        return array_merge(
            [],
            ...array_map(
                static fn (Figure $figure): array => array_filter([
                    $figure,
                    ...array_map(static fn (Transformer $t): ?Figure => self::ofSupply($figure, $t->id), $further),
                ]),
                array_values(array_filter(self::all(), static fn (Figure $f): bool => self::fits($f, $plan))),
            ),
        );
    }

    /** The same figure of a further supply, by its id; null where a supply has none of its own. */
    private static function ofSupply(Figure $figure, string $supply): ?Figure
    {
        return match (true) {
            $figure instanceof VoltageDrop => new VoltageDrop($supply),
            $figure instanceof FuseFigure => new FuseFigure($supply),
            $figure instanceof PrimaryTap => new PrimaryTap($supply),
            default => null,
        };
    }

    /** Of those that are whole without anything typed, the ones that a closing record carries. */
    public static function isOfRecord(Figure $figure): bool
    {
        return $figure instanceof TransformerLoad ||
            $figure instanceof VoltageDrop ||
            $figure instanceof FuseFigure;
    }

    /** Gas where there is a gas furnace; every other figure anywhere. */
    private static function fits(Figure $figure, ?Plan $plan): bool
    {
        return $plan === null ||
            ! ($figure instanceof GasPressure) ||
            $plan->installation->archetype->heatSource === HeatSource::Gas;
    }

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
            new ReturnAir(),
            new ChargeCheck(),
            new TemperatureSplit(),
            new GasPressure(),
            new TwoWays(),
        ];
    }

    public static function named(string $key): ?Figure
    {
        $named = OfPart::read($key);
        foreach (self::all() as $figure) {
            if ($figure->key() === $named->key) {
                return $named->part === null ? $figure : self::ofSupply($figure, $named->part);
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
            if ($input->overLimit && MeterMode::isOverLimit($value)) {
                $value = $input->max;
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
