<?php

declare(strict_types=1);

namespace App\Trace\View;

use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Tracing\Test\Result;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** A result as it is read off: a number with its unit, what was seen, what was found. */
final class ResultWords
{
    /** @param  array<string, Repair>  $repairs */
    public static function of(Result $result, ?MeterMode $mode, string $target, array $repairs): Message
    {
        if ($result->cannot !== '') {
            return Message::of('trace.page.cannot');
        }
        $says = [];
        if ($result->hasReading()) {
            $says[] = self::reading($result, $mode ?? MeterMode::Volts);
        }
        foreach ($result->sees as $key => $answer) {
            $says[] = Message::of(
                'trace.page.sees',
                key: Senses::name($key) ?? Message::raw($key),
                answer: SignAnswer::tryFrom($answer)?->label() ?? Message::raw($answer),
            );
        }
        if ($result->found !== '') {
            $says[] = self::found($result->found, $repairs[$target] ?? null);
        }
        if ($result->fuses !== []) {
            $says[] = Message::of('trace.page.fuse-opened');
        }

        return $says === [] ? Message::none() : Message::series($says);
    }

    private static function reading(Result $result, MeterMode $mode): Message
    {
        $unit = match ($mode) {
            MeterMode::Ohms, MeterMode::Beep => Unit::Ohms,
            MeterMode::Amps => Unit::Amps,
            default => Unit::Volts,
        };
        $places = $unit === Unit::Amps ? 2 : 1;

        return match (true) {
            $result->over => Message::of('trace.page.over'),
            $result->beeps !== null => $result->beeps
                ? Message::of('trace.page.beeps')
                : Message::of('trace.page.quiet'),
            $result->wavers() => Message::of(
                'trace.page.wavering',
                low: Quantity::of((float) $result->low, Unit::Number, self::places($result->low, $places)),
                high: Quantity::of((float) $result->high, $unit, self::places($result->high, $places)),
            ),
            default => Message::of(
                'trace.page.volts',
                value: Quantity::of((float) $result->low, $unit, self::places($result->low, $places)),
            ),
        };
    }

    /** A meter shows no tenths of hundreds. */
    private static function places(?float $value, int $usual): int
    {
        return (float) $value >= 100.0 ? 0 : $usual;
    }

    public static function found(string $found, ?Repair $repair): Message
    {
        $fault = array_find($repair->ends ?? [], static fn (Fault $f): bool => $f->entry === $found);

        return match (true) {
            $found === Probe::OTHERWISE => Message::of('trace.page.otherwise'),
            $found === Showing::SOUND || $fault === null => Message::of('trace.page.sound'),
            default => Message::of('trace.page.found', what: $fault->name),
        };
    }
}
