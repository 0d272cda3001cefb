<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Show;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\HouseState;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Thermostat\PowerKind;

/** What a probe shows of a solved house, as a band or as shares of answers. Shares are our working figures. */
final readonly class Shows
{
    /** Share of "no" under which something is said to run. */
    private const MOSTLY = 0.5;

    public function __construct(private AskedHouse $house, private Senses $sight)
    {
    }

    public function of(HouseState $state, Hands $hands, Probe $probe): Showing
    {
        if ($probe->mode === null || $probe->from === null || $probe->to === null) {
            return Showing::seeing($this->answers($state, $hands, $probe->see));
        }
        $from = $this->house->contacts->touched($probe->from, $hands);
        $to = $this->house->contacts->touched($probe->to, $hands);

        return Tolerances::quick($probe->mode, $state->read($probe->mode, $from, $to), $state->cycles());
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, array<string, float>>
     */
    public function answers(HouseState $solved, Hands $test, array $keys): array
    {
        $answers = [];
        foreach ($keys as $key) {
            $answers[$key] = match ($key) {
                Senses::DISPLAY => $this->display($solved, $test),
                Senses::LAMP => self::yes(($solved->seen[$key] ?? false) && ! $test->isolated),
                Senses::FUSE => $this->fuse($solved, $test),
                Senses::BREAKER => $this->breaker($solved),
                Senses::TRANSFORMER => $this->transformer($solved, $test),
                Senses::LINE => self::yes(! $test->isolated && $test->off() === [] && self::lineIsThere($solved)),
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
    public function any(HouseState $solved, Hands $test, array $keys): Showing
    {
        $runs = array_any(
            $this->answers($solved, $test, $keys),
            static fn (array $shares): bool => ($shares['no'] ?? 0.0) < self::MOSTLY,
        );

        return Showing::finding($runs ? Probe::OTHERWISE : Showing::SOUND);
    }

    /** @return array<string, float> */
    private static function yes(bool $yes): array
    {
        return $yes ? ['yes' => 1.0] : ['no' => 1.0];
    }

    /** @return array<string, float> */
    private function load(HouseState $solved, Hands $test, string $key): array
    {
        $states = $solved->states($this->house->circuit, $key);
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
    private function display(HouseState $solved, Hands $test): array
    {
        if ($test->face() !== Face::On) {
            return ['off' => 1.0];
        }
        if ($test->isolated) {
            $own = $this->house->circuit->profile->power !== PowerKind::Common;

            return $own ? ['on' => 0.9, 'off' => 0.1] : ['off' => 1.0];
        }
        $on = $solved->seen[Senses::DISPLAY] ?? false;
        if ($solved->cycles()) {
            return ['resets' => 0.5, 'on' => 0.3, 'off' => 0.2];
        }

        return $on ? ['on' => 1.0] : ['off' => 1.0];
    }

    /** @return array<string, float> */
    private function fuse(HouseState $solved, Hands $test): array
    {
        $id = $this->sight->fused();
        if (in_array($id, $test->breakers(), true)) {
            return ['none' => 1.0];
        }
        $open = ($solved->netlist->elements[Part::fuse($id)->id] ?? null)?->isOpen() ?? false;

        return $open ? ['open' => 1.0] : ['whole' => 1.0];
    }

    /** @return array<string, float> */
    private function breaker(HouseState $solved): array
    {
        $multiple = $solved->multiple($this->house->circuit, $this->sight->fused());

        return match (true) {
            $multiple > 2.0 => ['trips' => 0.95, 'warm' => 0.05],
            $multiple > 1.35 => ['trips' => 0.5, 'warm' => 0.4, 'holds' => 0.1],
            $multiple > 1.0 => ['holds' => 0.6, 'warm' => 0.3, 'trips' => 0.1],
            default => ['holds' => 1.0],
        };
    }

    /** @return array<string, float> */
    private function transformer(HouseState $solved, Hands $test): array
    {
        $transformer = $this->house->circuit->installation->transformers()[0] ?? null;
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

    private static function lineIsThere(HouseState $solved): bool
    {
        $line = Network::lineSide($solved->netlist, false);
        foreach ($solved->netlist->elements as $element) {
            if ($element->kind === ElementKind::Winding) {
                $a = At::lead($element->id, Lead::Line)->id;
                $b = At::lead($element->id, Lead::Neutral)->id;

                return ! $line->knows($a) || ! $line->knows($b) || $line->solve()->magnitude($a, $b) > 50.0;
            }
        }

        return true;
    }
}
