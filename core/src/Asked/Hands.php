<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Asked\Thing\Bare;
use Unionbit\Core\Asked\Thing\FaceOff;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LiftedEnd;
use Unionbit\Core\Asked\Thing\SupplyOff;
use Unionbit\Core\Asked\Thing\TestBreaker;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Point\At;

/**
 * Everything that a person does to a house before a reading: what the thermostat is asked for, whether the power is
 * off, what is put on, lifted and held. The one set-up of Prove, Trace, dock and strip.
 */
final readonly class Hands
{
    private string $key;

    private Face $face;

    /** @param  bool  $isolated  power off and proved dead */
    private function __construct(
        public CallName $call,
        public bool $isolated,
        public Phase $phase,
        public Things $things,
    ) {
        $this->face = match (true) {
            $things->any(Bare::class) => Face::Bare,
            $things->any(FaceOff::class) => Face::Off,
            default => Face::On,
        };
        $this->key = implode('/', [$call->value, $isolated ? 'off' : 'on', $phase->value, $things->key()]);
    }

    /** Power on, the thermostat asked for this call. */
    public static function calling(CallName $call = CallName::Idle): self
    {
        return new self($call, false, Phase::Settled, Things::none());
    }

    /** Power off and proved dead. */
    public static function dead(): self
    {
        return self::calling()->provedDead();
    }

    public function asked(CallName $call): self
    {
        return new self($call, $this->isolated, $this->phase, $this->things);
    }

    public function provedDead(bool $isolated = true): self
    {
        return new self($this->call, $isolated, $this->phase, $this->things);
    }

    /** The power goes off: what the thermostat was asked for is not asked for any more. */
    public function powerOff(): self
    {
        return $this->isolated ? $this : $this->asked(CallName::Idle)->provedDead();
    }

    /** The same at another moment of the call. */
    public function at(Phase $phase): self
    {
        return new self($this->call, $this->isolated, $phase, $this->things);
    }

    public function with(Thing ...$things): self
    {
        return $things === [] ? $this : $this->holding($this->things->with(...$things));
    }

    /** With everything that stands beside it. */
    public function beside(Things $standing): self
    {
        return $this->with(...array_values($standing->all));
    }

    public function holding(Things $things): self
    {
        return new self($this->call, $this->isolated, $this->phase, $things);
    }

    public function jumping(At $a, At $b): self
    {
        return $this->with(new Jumper($a, $b));
    }

    public function lifting(At ...$ends): self
    {
        return $this->with(...array_map(static fn (At $end): Thing => new LiftedEnd($end), array_values($ends)));
    }

    public function faced(Face $face): self
    {
        $plain = $this->holding($this->things->butNot(FaceOff::class)->butNot(Bare::class));

        return match ($face) {
            Face::On => $plain,
            Face::Off => $plain->with(new FaceOff()),
            Face::Bare => $plain->with(new Bare()),
        };
    }

    /** With the test breaker in the place of these supplies' fuses, and of no others. */
    public function broken(string ...$supplies): self
    {
        return $this->holding($this->things->butNot(TestBreaker::class))->with(
            ...array_map(static fn (string $id): Thing => new TestBreaker($id), array_values($supplies)),
        );
    }

    public function face(): Face
    {
        return $this->face;
    }

    /** @return list<string> supplies with the test breaker in the fuse's place */
    public function breakers(): array
    {
        return array_map(static fn (TestBreaker $b): string => $b->supply, $this->things->each(TestBreaker::class));
    }

    /** @return list<string> supplies without their line, where the others have it */
    public function off(): array
    {
        return array_map(static fn (SupplyOff $o): string => $o->supply, $this->things->each(SupplyOff::class));
    }

    /** Nothing but what the house itself does: no hand has changed anything. */
    public function isPlain(): bool
    {
        return ! $this->isolated && $this->phase === Phase::Settled && $this->things->all === [];
    }

    /** Whether no jumper, lead, link or face is other than it belongs. */
    public function areOff(): bool
    {
        return ! $this->things->alters();
    }

    /** The same for two that are the same. */
    public function key(): string
    {
        return $this->key;
    }
}
