<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Asked\Show\Sense;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\Look;
use Unionbit\Core\Words\Message;

/** Something to see or hear when the call works. */
final readonly class Sign
{
    /** What pulled in falls out when the call ends: asked after it. */
    public const DROP_OFF = 'drop-off';

    /**
     * @param  string  $sense  eye or ear
     * @param  list<string>  $watches  observables by which it is answered; its own key where none is named
     * @param  bool  $still  answered yes where none of them runs
     */
    public function __construct(
        public string $key,
        public Message $text,
        public string $sense,
        public ?string $load,
        public bool $optional = false,
        public array $watches = [],
        public bool $still = false,
    ) {
    }

    /**
     * What a person would answer.
     *
     * @param  array<string, bool>  $runs  what is seen and heard then
     */
    public function answered(array $runs, ?Fault $fault): bool
    {
        $look = Look::tryFrom($this->key);
        if ($look !== null) {
            return ! in_array($look, $fault->looks ?? [], true);
        }
        $any = array_any($this->watched(), static fn (string $name): bool => $runs[$name] ?? false);

        return $this->still ? ! $any : $any;
    }

    /** @return list<SignAnswer> what can be said of it that is neither yes nor no */
    public function neither(): array
    {
        $watched = array_filter(array_map(Observable::tryFrom(...), $this->watched()));
        $fires = [Observable::Burner, Observable::HighBurner, Observable::Boiler];
        $fire = array_any($watched, static fn (Observable $o): bool => in_array($o, $fires, true));
        $strip = array_any($watched, static fn (Observable $o): bool => $o->isStrip());

        return match (true) {
            $this->key === Sense::Display->value => [SignAnswer::Resets, SignAnswer::Blinks],
            $this->key === self::DROP_OFF => [],
            $this->still => [SignAnswer::Hums, SignAnswer::Chatters, SignAnswer::Warm, SignAnswer::Smells],
            $fire => [SignAnswer::Flashes, SignAnswer::Cold, SignAnswer::Smells, SignAnswer::Chatters],
            $strip => [SignAnswer::Warm, SignAnswer::Cold, SignAnswer::Smells, SignAnswer::Hums],
            $watched !== [] => [SignAnswer::Chatters, SignAnswer::Hums, SignAnswer::Cold, SignAnswer::Smells],
            default => [],
        };
    }

    /** What it comes to: a lamp that blinks says something by its count, and neither passes nor fails the call. */
    public static function outcomeOf(SignAnswer $neither): Outcome
    {
        return $neither === SignAnswer::Blinks ? Outcome::Neutral : Outcome::Fail;
    }

    /** @return list<string> observables by which it is answered */
    public function watched(): array
    {
        return $this->watches === [] ? [$this->key] : $this->watches;
    }
}
