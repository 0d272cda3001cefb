<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Steps;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Load\LoadChecks;
use Unionbit\Core\Proving\Step\BoardPoints;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Words\Message;

/**
 * The proof at rest, first and last of all: nothing called, power on. A welded relay or sequencer, a motor stuck on, a
 * switch stuck closed show here and in no proof of a call.
 */
final readonly class RestStep
{
    /** The wall's pair and the current of further supplies are asked for from then on. */
    private const MORE_SINCE = '2026-11-29';

    private BoardPoints $board;

    public function __construct(private Plan $plan, private Waits $waits, private AskedHouse $asked)
    {
        $this->board = new BoardPoints($plan);
    }

    public function step(): Step
    {
        $house = $this->plan->installation;
        $hands = Hands::calling();
        $state = $this->asked->state($hands);

        return new Step(
            call: CallName::Idle,
            method: Method::AtRest,
            setUpIsolated: false,
            do: Message::of('proving.rest-step.nothing-called'),
            closes: [],
            hot: (string) $this->plan->profile->mainHot()?->printed,
            wait: $this->waits->of(CallName::Idle, Method::AtRest),
            hands: $hands,
            waiting: $hands,
            probes: [
                ...array_values(
                    array_filter(
                        [...($boards = $this->boards()), ...$this->walls($boards), ...$this->outdoors($boards)],
                        // A screw that floats shows a ghost, which proves nothing.
                        static fn (Measure $p): bool => $state->volts($p->a, $p->b) !== null,
                    ),
                ),
                ...$this->amperes(),
            ],
            signs: (new Signs($house->archetype))->atRest($house),
            restore: [],
        );
    }

    /** @return list<Measure> each call's screw at the boards, to the common of its load */
    private function boards(): array
    {
        $archetype = $this->plan->installation->archetype;
        $probes = [];
        foreach ($archetype->terminals as $terminal) {
            $isCall = Meaning::of($terminal->name, $archetype)->isCall();
            if ($isCall && $archetype->isBoard($terminal->place) && $this->board->commonOf($terminal) !== null) {
                $arrival = $this->board->arrival($terminal);
                $probes[$arrival->key()] = Measure::volts(
                    $arrival->a,
                    $arrival->b,
                    Message::of('proving.rest-step.no-call-stands'),
                );
            }
        }

        return array_values($probes);
    }

    /**
     * @param  list<Measure>  $indoors  that are read at the boards
     * @return list<Measure> each call's screw outdoors, to the common of the same unit
     */
    private function outdoors(array $indoors): array
    {
        $archetype = $this->plan->installation->archetype;
        $commons = $calls = [];
        foreach ($archetype->terminals as $terminal) {
            if ($terminal->place->isOutdoors() && ! $archetype->isBoard($terminal->place)) {
                $terminal->name === TerminalName::C
                    ? ($commons[$terminal->place->value] = $terminal->point())
                    : ($calls[] = $terminal);
            }
        }
        $probes = [];
        foreach ($calls as $terminal) {
            $common = $commons[$terminal->place->value] ?? null;
            if ($common !== null && $terminal->name->isCall()) {
                $probe = Measure::volts(
                    $terminal->point(),
                    $common,
                    Message::of('proving.rest-step.no-call-stands'),
                );
                $probes[] = $this->isReadIndoors($terminal->point(), $indoors) ? $probe->asOptional() : $probe;
            }
        }

        return $probes;
    }

    /**
     * Whether copper joins a screw outdoors to one that is read at a board.
     *
     * @param  list<Measure>  $indoors
     */
    private function isReadIndoors(string $point, array $indoors): bool
    {
        $reached = $this->board->reached($point);

        return array_any($indoors, static fn (Measure $p): bool => isset($reached[$p->a]));
    }

    /** @return list<Measure> the idle current of every supply; not where nobody knows what the thermostat draws */
    private function amperes(): array
    {
        $checks = new LoadChecks($this->plan);
        $clamps = $this->plan->profile->isVaTaken
            ? []
            : array_map($checks->clampOn(...), $this->plan->installation->transformers());

        $first = $checks->clampIn(CallName::Idle);

        return array_map(
            static fn (string $clamp): Measure => Measure::amps(
                $clamp,
                Message::of('proving.rest-step.idle-current'),
            )->since($clamp === $first ? null : self::MORE_SINCE),
            array_values(array_unique($clamps)),
        );
    }

    /**
     * @param  list<Measure>  $indoors  that are read at the boards
     * @return list<Measure> each call's screw of the plate, to its common where one is wired there
     */
    private function walls(array $indoors): array
    {
        $common = $this->plan->profile->outputs === Place::Wall ? $this->plan->wiredCommon() : null;
        $probes = [];
        foreach ($this->plan->profile->terminals as $terminal) {
            $landed = $terminal->name->isCall() && $this->plan->landing->on($terminal->printed) !== [];
            if ($common !== null && $landed) {
                $probe = Measure::volts(
                    $terminal->point(),
                    $common->point(),
                    Message::of('proving.rest-step.no-call-stands'),
                );
                // The first reads what the common loses on its way to the wall; the others say what the board says.
                $more = $probes !== [] && $this->isReadIndoors($terminal->point(), $indoors);
                $probes[] = $more ? $probe->asOptional() : $probe->since(self::MORE_SINCE);
            }
        }

        return $probes;
    }
}
