<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** What the Figures page keeps for a house; the survey does not ask for it. */
final class FigureFacts
{
    /** @return list<Question> */
    public static function all(): array
    {
        $number = static fn (
            string $key,
            Message $text,
            Unit $unit,
            float $min,
            float $max,
        ): Question => Question::number(
            $key,
            Message::of('job.questions.figures'),
            $text,
            Message::none(),
            $unit,
            $min,
            $max,
            static fn (): bool => false,
        );

        return [
            $number('heatLoss', Message::of('job.questions.heat-loss-at-design'), Unit::BtuPerHour, 2000, 300_000),
            $number(
                'designTemp',
                Message::of('job.questions.outdoor-design-temperature'),
                Unit::Fahrenheit,
                -40,
                50,
            ),
            $number('noHeat', Message::of('job.questions.no-heat-above'), Unit::Fahrenheit, 51, 75),
            $number(
                'capacity47',
                Message::of('job.questions.heat-pump-capacity-at-47', at: Quantity::of(47.0, Unit::Fahrenheit, 0)),
                Unit::BtuPerHour,
                2000,
                200_000,
            ),
            $number(
                'capacity17',
                Message::of('job.questions.heat-pump-capacity-at-17', at: Quantity::of(17.0, Unit::Fahrenheit, 0)),
                Unit::BtuPerHour,
                1000,
                200_000,
            ),
            $number(
                'cop47',
                Message::of('job.questions.cop-at-47-f', at: Quantity::of(47.0, Unit::Fahrenheit, 0)),
                Unit::Number,
                1,
                7,
            ),
            $number(
                'cop17',
                Message::of('job.questions.cop-at-17-f', at: Quantity::of(17.0, Unit::Fahrenheit, 0)),
                Unit::Number,
                0.8,
                6,
            ),
            $number(
                'priceElectric',
                Message::of('job.questions.price-electricity'),
                Unit::DollarsPerKilowattHour,
                0.01,
                2,
            ),
            $number('priceGas', Message::of('job.questions.price-gas'), Unit::DollarsPerTherm, 0.05, 20),
            $number('efficiency', Message::of('job.questions.furnace-efficiency'), Unit::Percent, 50, 99),
            Question::text(
                'relayPins',
                Message::of('job.questions.figures'),
                Message::of('job.questions.numbers-on-relay'),
                Message::none(),
                static fn (): bool => false,
            ),
        ];
    }
}
