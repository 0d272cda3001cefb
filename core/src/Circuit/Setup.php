<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\FuseBridged;
use Unionbit\Core\Circuit\Edit\FuseScaled;
use Unionbit\Core\Data\Copies;
use Unionbit\Core\Thermostat\Profile;

/**
 * The state that a person puts the house in before a reading: power, what the thermostat calls, whether its face
 * is off, which conductor ends are lifted, which jumpers are placed, and faults to be looked at.
 */
final readonly class Setup
{
    use Copies;

    /**
     * @param  list<string>  $closed  plate terminals (as printed) that the thermostat closes to their hot
     * @param  list<array{string, string}>  $jumpers  pairs of points
     * @param  list<string>  $lifted  conductor ends, "A4.near"
     * @param  list<CircuitEdit>  $edits
     * @param  bool  $slowFuse  fuses hold, as a resettable test breaker does while it warms up
     * @param  list<string>  $modes  modes of the equipment that are on, as defrost
     */
    private function __construct(
        public bool $power,
        public array $closed,
        public bool $faceOff,
        public array $jumpers,
        public array $lifted,
        public array $edits,
        public array $modes = [],
        public bool $slowFuse = false,
    ) {
    }

    /** Power on, the thermostat closing these terminals. */
    public static function calling(string ...$closed): self
    {
        return new self(true, array_values($closed), false, [], [], []);
    }

    /** Power on, the thermostat making this call as the table has it. */
    public static function ofCall(CallTable $table, CallName $call, Profile $profile): self
    {
        return self::calling(...$table->printed($call, $profile))->inMode($call->mode());
    }

    /** Power off and proved dead. */
    public static function isolated(): self
    {
        return new self(false, [], false, [], [], []);
    }

    /** Power off, and a thermostat on batteries asked for a call: its switches close with nothing behind them. */
    public function asked(string ...$closed): self
    {
        return $this->copy(['closed' => array_values($closed)]);
    }

    /** The same jumpers, lifted ends and face as another set-up, with this one's power. */
    public function sameHands(self $other): self
    {
        return new self(
            power: $this->power,
            closed: $this->power || ! $other->power ? $other->closed : [],
            faceOff: $other->faceOff,
            jumpers: $other->jumpers,
            lifted: $other->lifted,
            edits: $other->edits,
            modes: $other->modes,
            slowFuse: $other->slowFuse,
        );
    }

    /** The face off the base: every circuit opens where the switches are in it, nothing changes where they are not. */
    public function faceOff(): self
    {
        return $this->copy(['faceOff' => true]);
    }

    public function withJumper(string $a, string $b): self
    {
        return $this->copy(['jumpers' => [...$this->jumpers, [$a, $b]]]);
    }

    public function lifting(string ...$ends): self
    {
        return $this->copy(['lifted' => array_values(array_unique([...$this->lifted, ...$ends]))]);
    }

    public function with(CircuitEdit ...$edits): self
    {
        return $this->copy(['edits' => array_values([...$this->edits, ...$edits])]);
    }

    /** Puts the equipment in a mode of its own, as a defrost that the outdoor board started. */
    public function inMode(?string $mode): self
    {
        return $mode === null ? $this : $this->copy(['modes' => [...$this->modes, $mode]]);
    }

    /** Whether this transformer's fuse holds whatever flows. */
    public function holdsFuse(string $transformerId): bool
    {
        return $this->slowFuse || $this->fuseIsBridged($transformerId);
    }

    /** What stands in the fuse's place, over the rating that the board calls for. */
    public function fuseFactor(string $transformerId): float
    {
        return array_product(
            array_map(
                static fn (CircuitEdit $e): float => $e instanceof FuseScaled ? $e->of($transformerId) : 1.0,
                $this->edits,
            ),
        );
    }

    public function fuseIsBridged(string $transformerId): bool
    {
        return array_filter(
            $this->edits,
            static fn (CircuitEdit $edit): bool => $edit instanceof FuseBridged && $edit->isOf($transformerId),
        ) !== [];
    }

    public function withSlowFuse(bool $slow = true): self
    {
        return $this->copy(['slowFuse' => $slow]);
    }
}
