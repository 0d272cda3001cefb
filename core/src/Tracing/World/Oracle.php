<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\World;

use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Tracing\Test\Face;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;

/** What a probe shows of a solved house, as a band or as shares of answers. Bands are our working figures. */
final readonly class Oracle
{
    /** Line ±5 % with transformer ±5 %, and a hand meter's error; volts of pick-up. */
    private const VOLTS = ['share' => 0.115, 'floor' => 0.6, 'divided' => 0.15];

    private const OHMS = ['down' => 0.25, 'up' => 0.3, 'leads' => 1.5];

    private const AMPS = ['share' => 0.3, 'floor' => 0.04];

    /** Ohms under which a beeper surely sounds, and over which it surely does not. */
    private const BEEPS = [20.0, 60.0];

    private const OVER = 10.0e6;

    /** Share of "no" under which something is said to run. */
    private const MOSTLY = 0.5;

    /** Volts of a supply, for what part of it is dropped. */
    private const FULL = 26.0;

    public function __construct(private World $world, private Sight $sight)
    {
    }

    public function of(Solved $solved, TestSetup $test, Probe $probe): Prediction
    {
        if ($probe->mode === null) {
            return Prediction::seeing($this->answers($solved, $test, $probe->see));
        }
        $from = $this->world->point($probe->from, $test);
        $to = $this->world->point($probe->to, $test);

        return match ($probe->mode) {
            MeterMode::Volts => self::volts($solved, $from, $to),
            MeterMode::Amps => self::amps($solved, $from),
            MeterMode::Ohms => self::ohms($solved, $from, $to),
            MeterMode::Beep => self::beep($solved, $from, $to),
            MeterMode::NonContact => Prediction::seeing([]),
        };
    }

    private static function volts(Solved $solved, string $from, string $to): Prediction
    {
        $volts = $solved->volts($from, $to);
        if ($volts === null) {
            return Prediction::ghost();
        }
        if ($solved->cycles()) {
            return Prediction::wavering(self::FULL * 1.15);
        }
        $wide =
            self::VOLTS['share'] * $volts +
            self::VOLTS['floor'] +
            self::VOLTS['divided'] * max(0.0, min($volts, self::FULL - $volts));

        return Prediction::band(max(0.0, $volts - $wide), $volts + $wide);
    }

    private static function amps(Solved $solved, string $from): Prediction
    {
        $amps = $solved->amps($from);
        $wide = self::AMPS['share'] * $amps + self::AMPS['floor'];

        return $solved->cycles()
            ? Prediction::wavering($amps + $wide)
            : Prediction::band(max(0.0, $amps - $wide), $amps + $wide);
    }

    private static function ohms(Solved $solved, string $from, string $to): Prediction
    {
        $ohms = $solved->ohms($from, $to);

        return $ohms === null || $ohms > self::OVER
            ? Prediction::overLimit()
            : Prediction::band(
                max(0.0, $ohms * (1.0 - self::OHMS['down']) - 0.2),
                $ohms * (1.0 + self::OHMS['up']) + self::OHMS['leads'],
            );
    }

    private static function beep(Solved $solved, string $from, string $to): Prediction
    {
        $ohms = $solved->ohms($from, $to) ?? INF;
        [$sounds, $quiet] = self::BEEPS;

        return Prediction::beeping(
            match (true) {
                $ohms < $sounds => 1.0,
                $ohms > $quiet => 0.0,
                default => ($quiet - $ohms) / ($quiet - $sounds),
            },
        );
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, array<string, float>>
     */
    public function answers(Solved $solved, TestSetup $test, array $keys): array
    {
        $answers = [];
        foreach ($keys as $key) {
            $answers[$key] = match ($key) {
                Sight::DISPLAY => $this->display($solved, $test),
                Sight::LAMP => self::yes(($solved->seen[$key] ?? false) && ! $test->isolated),
                Sight::FUSE => $this->fuse($solved, $test),
                Sight::BREAKER => $this->breaker($solved),
                Sight::TRANSFORMER => $this->transformer($solved, $test),
                Sight::LINE => self::yes(! $test->isolated && $test->off === [] && self::lineIsThere($solved)),
                default => $this->load($solved, $test, $key),
            };
        }

        return $answers;
    }

    /**
     * Whether any of several runs.
     *
     * @param  list<string>  $keys
     */
    public function any(Solved $solved, TestSetup $test, array $keys): Prediction
    {
        $runs = array_any(
            $this->answers($solved, $test, $keys),
            static fn (array $shares): bool => ($shares['no'] ?? 0.0) < self::MOSTLY,
        );

        return Prediction::finding($runs ? Probe::OTHERWISE : Prediction::SOUND);
    }

    /** @return array<string, float> */
    private static function yes(bool $yes): array
    {
        return $yes ? ['yes' => 1.0] : ['no' => 1.0];
    }

    /** @return array<string, float> */
    private function load(Solved $solved, TestSetup $test, string $key): array
    {
        $states = $solved->states($this->world->circuit, $key);
        $runs = ($solved->seen[$key] ?? false) && ! $test->isolated;
        if (! $runs && in_array(LoadState::Chattering, $states, true)) {
            return ['chatters' => 0.7, 'no' => 0.1, 'yes' => 0.1, 'hums' => 0.1];
        }
        if (! $runs && in_array(LoadState::Buzzing, $states, true)) {
            return ['no' => 0.6, 'hums' => 0.3, 'chatters' => 0.1];
        }

        return self::yes($runs);
    }

    /** @return array<string, float> */
    private function display(Solved $solved, TestSetup $test): array
    {
        if ($test->face !== Face::On) {
            return ['off' => 1.0];
        }
        if ($test->isolated) {
            $own = $this->world->circuit->profile->power !== PowerKind::Common;

            return $own ? ['on' => 0.9, 'off' => 0.1] : ['off' => 1.0];
        }
        $on = $solved->seen[Sight::DISPLAY] ?? false;
        if ($solved->cycles()) {
            return ['resets' => 0.5, 'on' => 0.3, 'off' => 0.2];
        }

        return $on ? ['on' => 1.0] : ['off' => 1.0];
    }

    /** @return array<string, float> */
    private function fuse(Solved $solved, TestSetup $test): array
    {
        $id = $this->sight->fused();
        if (in_array($id, $test->breaker, true)) {
            return ['none' => 1.0];
        }
        $open = ($solved->netlist->elements["{$id}.fuse"] ?? null)?->isOpen() ?? false;

        return $open ? ['open' => 1.0] : ['whole' => 1.0];
    }

    /** @return array<string, float> */
    private function breaker(Solved $solved): array
    {
        $multiple = $solved->multiple($this->world->circuit, $this->sight->fused());

        return match (true) {
            $multiple > 2.0 => ['trips' => 0.95, 'warm' => 0.05],
            $multiple > 1.35 => ['trips' => 0.5, 'warm' => 0.4, 'holds' => 0.1],
            $multiple > 1.0 => ['holds' => 0.6, 'warm' => 0.3, 'trips' => 0.1],
            default => ['holds' => 1.0],
        };
    }

    /** @return array<string, float> */
    private function transformer(Solved $solved, TestSetup $test): array
    {
        $transformer = $this->world->circuit->installation->transformers()[0] ?? null;
        if ($transformer === null || $solved->point === null || $test->isolated || ! self::lineIsThere($solved)) {
            return ['cold' => 0.8, 'warm' => 0.2];
        }
        $load = ($solved->point->mostAmps($transformer->id) * 24.0) / $transformer->ratingVa;

        return match (true) {
            $load > 1.8 => ['hot' => 0.6, 'smells' => 0.3, 'warm' => 0.1],
            $load > 1.2 => ['hot' => 0.5, 'warm' => 0.5],
            $load > 0.05 => ['warm' => 0.7, 'cold' => 0.3],
            default => ['cold' => 0.5, 'warm' => 0.5],
        };
    }

    private static function lineIsThere(Solved $solved): bool
    {
        $line = Network::lineSide($solved->netlist, false);
        foreach ($solved->netlist->elements as $element) {
            if ($element->kind === ElementKind::Winding) {
                $a = "{$element->id}.line";
                $b = "{$element->id}.neutral";

                return ! $line->knows($a) || ! $line->knows($b) || $line->solve()->magnitude($a, $b) > 50.0;
            }
        }

        return true;
    }
}
