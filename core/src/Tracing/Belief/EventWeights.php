<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Spot;
use Unionbit\Core\Tracing\Suspect\Suspect;

/** What an event does to the weights of a suspect: a fuse is open or new, a spot answered, a cable was hurt or not. */
final class EventWeights
{
    /** A fuse is said to have opened where nothing of a suspect could open it. */
    private const BLOWN_BY_NOTHING = 0.03;

    /** Where a cable is at fault, damage is found along it so often; and along another so seldom. */
    private const HURT = 0.8;

    private const HURT_BESIDE = 0.1;

    /** Touching a part that comes and goes brings it back so often. */
    private const TOUCHED = 0.8;

    /** It comes back at a touch elsewhere so seldom. */
    private const BY_CHANCE = 0.01;

    /**
     * @param  array<string, float>  $weights  by open fuses
     * @return array<string, float>
     */
    public static function after(Event $event, Suspect $suspect, array $weights): array
    {
        return match ($event->kind) {
            EventKind::FuseReplaced => self::moved(
                $weights,
                static fn (OpenFuses $open): OpenFuses => $open->without($event->of),
            ),
            EventKind::FuseOpened => self::moved(
                $weights,
                static fn (OpenFuses $open): OpenFuses => $open->with($event->of),
                static fn (OpenFuses $open): float => $open->has($event->of) || $suspect->joins()
                    ? 1.0
                    : self::BLOWN_BY_NOTHING,
            ),
            EventKind::Walked => array_map(
                static fn (float $w): float => $w * self::walked($suspect, $event),
                $weights,
            ),
            EventKind::Touched => array_map(
                static fn (float $w): float => $w * self::touched($suspect, $event),
                $weights,
            ),
            default => $weights,
        };
    }

    /** What was found along a cable, of a fault that is on one of its conductors and of one that is not. */
    private static function walked(Suspect $suspect, Event $event): float
    {
        $on = in_array($event->of, $suspect->conductors, true);

        return match ($event->answered) {
            true => $on ? self::HURT : self::HURT_BESIDE,
            false => $on ? 1.0 - self::HURT / count(Spot::cases()) : 1.0,
            null => 1.0,
        };
    }

    private static function touched(Suspect $suspect, Event $event): float
    {
        $is =
            array_any($suspect->faults, static fn (Fault $f): bool => $f->intermittent) &&
            $suspect->isAt($event->of);

        return match (true) {
            $event->answered === true => $is ? self::TOUCHED : self::BY_CHANCE,
            $event->answered === false && $is => 1.0 - self::TOUCHED,
            default => 1.0,
        };
    }

    /**
     * @param  array<string, float>  $weights
     * @param  callable(OpenFuses): OpenFuses  $to
     * @param  ?callable(OpenFuses): float  $times
     * @return array<string, float>
     */
    private static function moved(array $weights, callable $to, ?callable $times = null): array
    {
        $after = [];
        foreach ($weights as $open => $weight) {
            $opens = OpenFuses::at((string) $open);
            $key = $to($opens)->key();
            $after[$key] = ($after[$key] ?? 0.0) + $weight * ($times === null ? 1.0 : $times($opens));
        }

        return $after;
    }
}
