<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Suspect;

use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Moved;
use Unionbit\Core\Circuit\Edit\ShortedTurns;
use Unionbit\Core\Circuit\Edit\Swapped;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Words\Message;

/** One thing that may be wrong with the house, or several together: what the circuit then is, how often it is met. */
final readonly class Suspect
{
    public const SOUND = 'nothing-wrong';

    public const UNKNOWN = 'unknown';

    /**
     * @param  list<Fault>  $faults  cause before effect; none where nothing of the circuit is other than it should be
     * @param  float  $prior  how much oftener it is met than a rare fault at one place
     * @param  array<string, float>  $factors  what that is made of, by word
     * @param  string  $repair  what ends it where no fault says so
     * @param  list<string>  $spots  points at which a hand finds it
     * @param  array<string, string>  $conductors  on which it is, with the cable of each
     */
    private function __construct(
        public string $id,
        public array $faults,
        public float $prior,
        public array $factors,
        public Message $title,
        public string $repair,
        public bool $isLanding = false,
        public array $spots = [],
        public array $conductors = [],
    ) {
    }

    /**
     * @param  array<string, float>  $factors
     * @param  list<string>  $spots
     * @param  array<string, string>  $conductors
     */
    public static function fault(Fault $fault, array $factors, array $spots, array $conductors): self
    {
        return new self(
            $fault->id,
            [$fault],
            (float) array_product($factors),
            $factors,
            $fault->title,
            $fault->repair,
            spots: $spots,
            conductors: $conductors,
        );
    }

    /** Two that do not cause each other. */
    public static function both(self $one, self $other, float $prior): self
    {
        return new self(
            "{$one->id}+{$other->id}",
            [...$one->faults, ...$other->faults],
            $prior,
            ['two-faults' => $prior],
            Message::of('tracing.suspect.both', one: $one->title, other: $other->title),
            $one->repair,
            spots: [...$one->spots, ...$other->spots],
            conductors: $one->conductors + $other->conductors,
        );
    }

    public static function sound(float $prior): self
    {
        $title = Message::of('tracing.suspect.nothing-wrong');

        return new self(self::SOUND, [], $prior, ['frequency' => $prior], $title, self::SOUND);
    }

    public static function unknown(float $prior): self
    {
        $title = Message::of('tracing.suspect.unknown');

        return new self(self::UNKNOWN, [], $prior, ['frequency' => $prior], $title, self::UNKNOWN);
    }

    /** A fault that stands in the survey or the landing itself. */
    public static function landing(LandingFault $fault, float $prior): self
    {
        return new self($fault->id(), [], $prior, ['landing' => $prior], $fault->says, $fault->id(), true);
    }

    public function isUnknown(): bool
    {
        return $this->id === self::UNKNOWN;
    }

    /** Whether everything of it comes and goes. */
    public function comesAndGoes(): bool
    {
        return $this->faults !== [] && ! array_any($this->faults, static fn (Fault $f): bool => ! $f->intermittent);
    }

    /** Whether it is found by a hand at a point. */
    public function isAt(string $point): bool
    {
        return in_array($point, $this->spots, true);
    }

    /** Whether it joins what belongs apart, and so may have opened a fuse before anybody came. */
    public function joins(): bool
    {
        foreach ($this->faults as $fault) {
            foreach ($fault->edits as $edit) {
                if (
                    $edit instanceof Touching ||
                    $edit instanceof CoilShorted ||
                    $edit instanceof ShortedTurns ||
                    $edit instanceof Swapped ||
                    $edit instanceof Moved
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * What is left of it after repairs.
     *
     * @param  array<string, true>  $ended  ids of faults without severity
     * @return list<Fault>
     */
    public function left(array $ended): array
    {
        return $ended === []
            ? $this->faults
            : array_values(array_filter($this->faults, static fn (Fault $f): bool => ! isset($ended[$f->base])));
    }
}
