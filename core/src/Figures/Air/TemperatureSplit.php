<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Air;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/** Supply against return, for the mode: says which mode it is really in, too. */
final class TemperatureSplit implements Figure
{
    /** The mode of a running unit, by the number that the figure takes. */
    private static function mode(int $mode): Message
    {
        return match ($mode) {
            1 => Message::of('figures.temperature-split.mode-cooling'),
            2 => Message::of('figures.temperature-split.mode-heat-pump'),
            3 => Message::of('figures.temperature-split.mode-gas'),
            default => Message::of('figures.temperature-split.mode-strips'),
        };
    }

    /**
     * The modes that this equipment has air for, each with the first call that runs in it.
     *
     * @return list<array{mode: int, label: Message, call: string}>
     */
    public static function modes(Archetype $archetype): array
    {
        $modes = [];
        foreach ($archetype->needs as $call => $loads) {
            $runs = array_map(static fn (string $id): ?Observable => $archetype->load($id)?->observable, $loads);
            $strips = array_filter($runs, static fn (?Observable $o): bool => $o?->isStrip() === true) !== [];
            $mode = match (true) {
                CallName::from($call)->isCooling() => 1,
                in_array(Observable::OutdoorUnit, $runs, true) => $strips || $call === 'defrost' ? null : 2,
                in_array(Observable::Burner, $runs, true) => 3,
                $strips => 4,
                default => null,
            };
            if ($mode !== null && ! isset($modes[$mode])) {
                $modes[$mode] = [
                    'mode' => $mode,
                    'label' => self::mode($mode),
                    'call' => (string) $call,
                ];
            }
        }
        ksort($modes);

        return array_values($modes);
    }

    public function key(): string
    {
        return 'split';
    }

    public function title(): Message
    {
        return Message::of('figures.temperature-split.temperature-split');
    }

    public function about(): Message
    {
        return Message::of('figures.temperature-split.after-at-least-ten-minutes');
    }

    public function inputs(?Plan $plan): array
    {
        return [
            new Input(
                'return',
                Message::of('figures.temperature-split.return-air'),
                Unit::Fahrenheit,
                null,
                Message::of('figures.temperature-split.thermometer'),
                30,
                110,
            ),
            new Input(
                'supply',
                Message::of('figures.temperature-split.supply-air'),
                Unit::Fahrenheit,
                null,
                Message::of('figures.temperature-split.thermometer'),
                20,
                180,
            ),
            new Input(
                'mode',
                Message::of('figures.temperature-split.mode-1-cooling-2-heat'),
                Unit::Number,
                1.0,
                Message::of('figures.temperature-split.what-was-called'),
                1,
                4,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $split = $v['supply'] - $v['return'];
        [$low, $high, $name] = match ((int) $v['mode']) {
            1 => [-24.0, -14.0, self::mode(1)],
            2 => [12.0, 32.0, self::mode(2)],
            3 => [30.0, 70.0, self::mode(3)],
            default => [20.0, 60.0, self::mode(4)],
        };
        $inside = $split >= $low && $split <= $high;
        $wrong = $v['mode'] <= 2.0 && abs($split) > 5.0 && $split > 0.0 !== ((int) $v['mode'] === 2);

        return new Result(
            [
                Result::line(
                    Message::of('figures.temperature-split.supply-less-return'),
                    $split,
                    Unit::FahrenheitSteps,
                    Message::of('figures.temperature-split.supply-return'),
                ),
                Result::line(
                    Message::of('figures.temperature-split.usual-from'),
                    $low,
                    Unit::FahrenheitSteps,
                    Message::of('figures.temperature-split.working-range-for', name: $name),
                ),
                Result::line(
                    Message::of('figures.temperature-split.to'),
                    $high,
                    Unit::FahrenheitSteps,
                    Message::of('figures.temperature-split.plates-rise-wins-for-furnaces'),
                ),
            ],
            $inside ? 'verd' : 'fault',
            $inside
                ? Message::of('figures.temperature-split.plausible-for', name: $name)
                : ($wrong
                    ? Message::of('figures.temperature-split.other-way-round-reversing-valve')
                    : ($split === 0.0
                        ? Message::of('figures.temperature-split.no-split-at-all-nothing')
                        : Message::of('figures.temperature-split.outside-usual-airflow-charge-or'))),
        );
    }
}
