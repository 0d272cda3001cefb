<?php

declare(strict_types=1);

namespace App\Prove\Practice;

use App\House\House;
use App\House\JobFiles;
use App\House\Refused;
use App\Models\Job;
use App\Records\Reading\ReadingPlace;
use App\Records\SetUp\SetupStrip;
use App\Records\Step\StepRecord;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Words\Message;

/**
 * The simulated house of a practice run: its meter reads the circuit with the hidden fault in it, with a hand meter's
 * noise; its loads run as that circuit runs them. Everything recorded meanwhile is marked as simulated.
 */
final class Practice
{
    /** Relative noise of the simulated meter. */
    private const NOISE = 0.006;

    /** What the simulated meter shows, as a person would type it. */
    public static function reading(Job $job, ReadingPlace $place): string
    {
        $fault = self::fault($job);
        $context = $place->context($job);
        $hands =
            $context->step !== null && $context->step->secondsLeft() > 0
                ? $context->step->step->waiting->beside(SetupStrip::of($job))
                : $context->hands;
        $seen = $context->house->with($fault)->expects($hands, $place->mode, $place->a, $place->b);
        if ($seen->refused !== null) {
            throw Refused::at('value', $seen->refused);
        }
        if ($seen->overLimit || $seen->nominal === null) {
            return $seen->floating ? '8.4' : 'OL';
        }
        $noise =
            1.0 +
            self::NOISE *
                ((2.0 * (crc32("{$job->id}{$place->a}{$place->b}{$job->readings()->count()}") % 1000)) / 1000.0 -
                    1.0);

        return number_format($seen->nominal * $noise, $place->mode->value === 'A' ? 2 : 1, '.', '');
    }

    /** @return array<string, bool> what runs in a step, by sign */
    public static function signs(Job $job, string $step): array
    {
        $fault = self::fault($job);
        $record =
            StepRecord::all($job)[$step] ??
            throw Refused::at('step', Message::of('prove.practice.there-no-proving-step-for', step: $step));
        $circuit =
            House::of($job)->standing?->circuit() ??
            throw Refused::at('step', Message::of('prove.practice.choose-thermostat-first'));
        $house = AskedHouse::of($circuit)->with($fault);
        $asked = $record->secondsLeft() > 0 ? $record->step->waiting : $record->step->hands;
        $state = $house->state($asked->beside(SetupStrip::of($job)));
        $signs = [];
        foreach ($record->step->signs as $sign) {
            $then = $sign->key === Sign::DROP_OFF ? $house->after($record->step->hands) : $state;
            $signs[$sign->key] = $sign->answered($then->seen, $fault);
        }

        return $signs;
    }

    private static function fault(Job $job): ?Fault
    {
        if ($job->practice === null) {
            throw Refused::at('value', Message::of('prove.practice.simulated-meter-for-practice-turn'));
        }
        $circuit = House::of($job)->standing?->circuit();
        foreach (
            $job->practice === '' || $circuit === null ? [] : app(JobFiles::class)->faults()->of($circuit) as $fault
        ) {
            if ($fault->id === $job->practice) {
                return $fault;
            }
        }

        return null;
    }
}
