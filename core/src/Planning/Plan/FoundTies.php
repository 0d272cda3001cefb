<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Wiring\Landing;

/**
 * MR25 The ties that the survey found, as part of a plan: each stands in its landing, or is taken out. One at the wall
 * goes with the old plate and is made again on the new one.
 */
final readonly class FoundTies
{
    public function __construct(private Installation $house, private Profile $profile)
    {
    }

    /** With every found tie that can stand on this plate and these boards, but for those that have to go. */
    public function standing(Landing $landing): Landing
    {
        foreach ($this->house->jumpers as $found) {
            $tie = $this->made($found);
            if ($tie !== null && $landing->tie($tie) === null) {
                $landing = $landing->withJumper($tie);
            }
        }

        return $this->settled($landing);
    }

    /** What has to go out of a landing that is changed since, and what has to stay in it. */
    public function settled(Landing $landing): Landing
    {
        foreach ($this->house->jumpers as $found) {
            $tie = $this->made($found);
            $fate = $this->fate($found, $landing);
            $there = $tie === null ? null : $landing->tie($tie);
            if ($there !== null && $fate->mustGo()) {
                $landing = $landing->withoutJumper($there->label);
            } elseif ($tie !== null && $there === null && $fate->mustStay()) {
                $landing = $landing->withJumper($tie);
            }
        }

        return $landing;
    }

    /** @return list<Jumper> those in a landing that are the person's to keep or take out */
    public function open(Landing $landing): array
    {
        $open = [];
        foreach ($this->house->jumpers as $found) {
            $tie = $this->made($found);
            $there = $tie === null ? null : $landing->tie($tie);
            if ($there !== null && $this->fate($found, $landing) === TieFate::AlwaysHigh) {
                $open[] = $there;
            }
        }

        return $open;
    }

    /** @return list<FoundTie> each found tie with what the plan does with it */
    public static function of(Plan $plan): array
    {
        $ties = new self($plan->installation, $plan->profile);

        return array_map(static function (Jumper $found) use ($ties, $plan): FoundTie {
            $made = $ties->made($found);

            return new FoundTie(
                $found,
                $made === null ? null : $plan->landing->tie($made),
                $ties->fate($found, $plan->landing),
            );
        }, $plan->installation->jumpers);
    }

    /** The tie as it stands when the work is done; null where the new plate lacks one of its screws. */
    public function made(Jumper $found): ?Jumper
    {
        if ($found->place !== Place::Wall) {
            return $found;
        }
        $screws = array_map(
            fn (?TerminalName $name): ?string => $name === null ? null : $this->profile->serving($name)?->printed,
            $this->names($found),
        );

        return $this->profile->outputs !== Place::Wall ||
            $screws[0] === null ||
            $screws[1] === null ||
            $screws[0] === $screws[1]
            ? null
            : new Jumper(Place::Wall, $screws[0], $screws[1], $found->label);
    }

    private function fate(Jumper $found, Landing $landing): TieFate
    {
        $names = array_map(
            static fn (?TerminalName $name): string => match ($name) {
                TerminalName::Aux => TerminalName::W1->value,
                TerminalName::Rc, TerminalName::Rh => TerminalName::R->value,
                default => $name->value ?? '',
            },
            $this->names($found),
        );
        sort($names);

        return match ($names) {
            ['G', 'Y1'] => $this->lands(TerminalName::G, $landing)
                ? TieFate::FanHasItsConductor
                : TieFate::AirWithCooling,
            ['W1', 'W2'] => $this->stage(TerminalName::W2, $landing),
            ['Y1', 'Y2'] => $this->stage(TerminalName::Y2, $landing),
            ['E', 'W1'] => $this->house->archetype->heatPump?->emergency === 'own'
                ? TieFate::EmergencyHasItsRelay
                : TieFate::EmergencyNeedsIt,
            ['DEH', 'R'] => $this->lands(TerminalName::Deh, $landing)
                ? TieFate::SignalHasItsConductor
                : TieFate::SignalHeld,
            default => TieFate::Unknown,
        };
    }

    private function stage(TerminalName $second, Landing $landing): TieFate
    {
        return $this->lands($second, $landing) ? TieFate::StageHasItsConductor : TieFate::AlwaysHigh;
    }

    /** @return array{?TerminalName, ?TerminalName} what its two letters mean where it was found */
    private function names(Jumper $found): array
    {
        $name = fn (string $letter): ?TerminalName => $found->place === Place::Wall
            ? Vocabulary::resolve($letter, Place::Wall, $this->house->archetype->reverses)->name
            : $this->house->screw($found->place, $letter)?->name;

        return [$name($found->a), $name($found->b)];
    }

    /** Whether the thermostat reaches a board's screw of this meaning by itself. */
    private function lands(TerminalName $name, Landing $landing): bool
    {
        $plate = $this->profile->serving(Meaning::of($name, $this->house->archetype))?->printed;
        if ($plate === null || $this->profile->outputs !== Place::Wall) {
            return $plate !== null;
        }
        foreach ($this->house->wallConductors() as $conductor) {
            $board = $landing->board[$conductor->id()] ?? null;
            $means =
                $board === null
                    ? $this->house->meaning($conductor)
                    : ($board->terminal === null
                        ? null
                        : $this->house->screw($this->house->boardOf($conductor), $board->terminal)?->name);
            $wall = ($landing->wall[$conductor->id()] ?? $conductor->near)->terminal;
            if ($means === $name && $wall === $plate) {
                return true;
            }
        }

        return false;
    }
}
