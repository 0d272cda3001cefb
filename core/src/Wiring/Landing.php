<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

/**
 * Where the conductors of the thermostat cable are to land: on the new plate at the wall, and on the board where
 * that end moves too. Conductors that are not named keep the end that the survey found.
 */
final readonly class Landing
{
    /**
     * @param  array<int, End>  $wall  by conductor number
     * @param  array<int, End>  $indoor  by conductor number, only where the board end moves
     * @param  bool  $linkIn  whether the thermostat's Rc–Rh link is in
     * @param  list<Jumper>  $jumpers  ties added at the plate or at the board
     * @param  bool  $plugIn  a plug-in transformer at the wall feeds the thermostat's own hot and C
     */
    public function __construct(
        public array $wall,
        public array $indoor = [],
        public bool $linkIn = true,
        public array $jumpers = [],
        public bool $plugIn = false,
    ) {
    }

    public function onWall(int $number, End $end): self
    {
        return new self(
            [$number => $end] + $this->wall,
            $this->indoor,
            $this->linkIn,
            $this->jumpers,
            $this->plugIn,
        );
    }

    public function onBoard(int $number, End $end): self
    {
        return new self(
            $this->wall,
            [$number => $end] + $this->indoor,
            $this->linkIn,
            $this->jumpers,
            $this->plugIn,
        );
    }

    public function withLink(bool $in): self
    {
        return new self($this->wall, $this->indoor, $in, $this->jumpers, $this->plugIn);
    }

    /** The jumper of this plan with that label; null where there is none. */
    public function jumper(string $label): ?Jumper
    {
        foreach ($this->jumpers as $jumper) {
            if ($jumper->label === $label) {
                return $jumper;
            }
        }

        return null;
    }

    public function withJumper(Jumper $jumper): self
    {
        return new self($this->wall, $this->indoor, $this->linkIn, [...$this->jumpers, $jumper], $this->plugIn);
    }

    public function withoutJumper(string $label): self
    {
        return new self(
            $this->wall,
            $this->indoor,
            $this->linkIn,
            array_values(array_filter($this->jumpers, static fn (Jumper $j): bool => $j->label !== $label)),
            $this->plugIn,
        );
    }

    /** A plug-in transformer stands for the house's own only with the link out: the two must not meet. */
    public function withPlugIn(): self
    {
        return new self($this->wall, $this->indoor, false, $this->jumpers, true);
    }

    /** @return list<int> numbers of the conductors on this wall terminal */
    public function on(string $printed): array
    {
        $numbers = [];
        foreach ($this->wall as $number => $end) {
            if ($end->terminal === $printed) {
                $numbers[] = $number;
            }
        }
        sort($numbers);

        return $numbers;
    }
}
