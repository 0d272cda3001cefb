<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\SharedKit;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Landing;

/** A thermostat for this house and where every conductor lands on it. */
final readonly class Plan
{
    /** @param  Installation  $installation  with the plan's changes made already */
    public function __construct(
        public Installation $installation,
        public Profile $profile,
        public Landing $landing,
        public HouseChanges $changes = new HouseChanges(),
        public ?Choice $choice = null,
    ) {
    }

    /** The same plan with conductors landed elsewhere by hand. */
    public function landed(Landing $landing): self
    {
        return new self($this->installation, $this->profile, $landing, $this->changes, $this->choice?->edited());
    }

    public function chosen(Choice $choice): self
    {
        return new self($this->installation, $this->profile, $this->landing, $this->changes, $choice);
    }

    /** The thermostat's C where it has the common of the equipment: a conductor lands on it, or it stands there. */
    public function wiredCommon(): ?PlateTerminal
    {
        $common = $this->profile->named(TerminalName::C);
        $wired =
            $common !== null &&
            ($this->profile->outputs === Place::Module || $this->landing->on($common->printed) !== []);

        return $wired ? $common : null;
    }

    /**
     * Of the screws that a call closes, those that carry it here: with a kit's adapter K in the place of Y1 and G, else
     * all but K, on which nothing waits for it.
     *
     * @param  list<string>  $closes  printed
     * @return list<string>
     */
    public function carriers(array $closes): array
    {
        $printed = fn (TerminalName $name): ?string => $this->profile->named($name)?->printed;
        $k = $printed(TerminalName::K);
        if (! $this->changes->sharedKit || ! in_array($k, $closes, true)) {
            return array_values(array_diff($closes, [$k]));
        }

        return array_values(
            array_unique([$k, ...array_diff($closes, [$k, $printed(TerminalName::Y1), $printed(TerminalName::G)])]),
        );
    }

    /** @return list<string> the screws at the boards on which a conductor can land, a kit's adapter's own with them */
    public function boardScrews(): array
    {
        return [
            ...$this->installation->archetype->boardLetters(),
            ...$this->changes->sharedKit ? [SharedKit::SCREW] : [],
        ];
    }

    /** @return list<string> the screws where the far end of this conductor is */
    public function screwsFor(Conductor $conductor): array
    {
        return [
            ...$this->installation->archetype->printedAt($this->installation->boardOf($conductor)),
            ...$this->changes->sharedKit ? [SharedKit::SCREW] : [],
        ];
    }

    /** @return list<Conductor> those of other cables with an end where the far end of this one is */
    public function onward(Conductor $conductor): array
    {
        $board = $this->installation->boardOf($conductor);

        return array_merge(
            [],
            ...array_map(
                static fn (Cable $cable): array => $cable->from === $board ? $cable->conductors : [],
                $this->installation->cables,
            ),
        );
    }

    public function circuit(): Circuit
    {
        return new Circuit($this->installation, $this->profile, $this->landing);
    }

    public function transformers(): int
    {
        return count($this->installation->archetype->supplies());
    }
}
