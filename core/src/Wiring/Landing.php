<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Terminal\Place;

/**
 * Where the conductors of the thermostat cables are to land: on the new plate at the wall, and on the board where
 * that end moves too. Conductors that are not named keep the end that the survey found.
 */
final readonly class Landing
{
    /**
     * @param  array<string, End>  $wall  by conductor id
     * @param  array<string, End>  $board  by conductor id, only where the board end moves
     * @param  bool  $linkIn  whether the thermostat's Rc–Rh link is in
     * @param  list<Jumper>  $jumpers  every tie at the plate or at a board, found and kept or added
     * @param  bool  $plugIn  a plug-in transformer at the wall feeds the thermostat's own hot and C
     */
    public function __construct(
        public array $wall,
        public array $board = [],
        public bool $linkIn = true,
        public array $jumpers = [],
        public bool $plugIn = false,
    ) {
    }

    public function onWall(string $id, End $end): self
    {
        return new self([$id => $end] + $this->wall, $this->board, $this->linkIn, $this->jumpers, $this->plugIn);
    }

    public function onBoard(string $id, End $end): self
    {
        return new self($this->wall, [$id => $end] + $this->board, $this->linkIn, $this->jumpers, $this->plugIn);
    }

    public function withLink(bool $in): self
    {
        return new self($this->wall, $this->board, $in, $this->jumpers, $this->plugIn);
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

    /** The jumper of this plan between the same two screws; null where there is none. */
    public function tie(Jumper $like): ?Jumper
    {
        foreach ($this->jumpers as $jumper) {
            if (
                $jumper->place === $like->place &&
                in_array([$jumper->a, $jumper->b], [[$like->a, $like->b], [$like->b, $like->a]], true)
            ) {
                return $jumper;
            }
        }

        return null;
    }

    public function withJumper(Jumper $jumper): self
    {
        return new self($this->wall, $this->board, $this->linkIn, [...$this->jumpers, $jumper], $this->plugIn);
    }

    public function withoutJumper(string $label): self
    {
        return new self(
            $this->wall,
            $this->board,
            $this->linkIn,
            array_values(array_filter($this->jumpers, static fn (Jumper $j): bool => $j->label !== $label)),
            $this->plugIn,
        );
    }

    /** A plug-in transformer stands for the house's own only with the link out: the two must not meet. */
    public function withPlugIn(): self
    {
        return new self($this->wall, $this->board, false, $this->jumpers, true);
    }

    /** @return list<string> ids of the conductors on this wall terminal, or on one that a tie joins to it there */
    public function reaching(string $printed): array
    {
        $ids = $this->on($printed);
        foreach ($ids === [] ? $this->jumpers : [] as $tie) {
            $other = $tie->a === $printed ? $tie->b : ($tie->b === $printed ? $tie->a : null);
            if ($tie->place === Place::Wall && $other !== null) {
                array_push($ids, ...$this->on($other));
            }
        }

        return $ids;
    }

    /** @return list<string> ids of the conductors on this wall terminal */
    public function on(string $printed): array
    {
        $ids = [];
        foreach ($this->wall as $id => $end) {
            if ($end->terminal === $printed) {
                $ids[] = $id;
            }
        }
        sort($ids, SORT_NATURAL);

        return $ids;
    }
}
