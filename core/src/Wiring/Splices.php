<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Words\Message;

/** Conductor ends that are joined under a connector instead of on a screw. */
final readonly class Splices
{
    /** @param  list<Cable>  $cables */
    public function __construct(private array $cables)
    {
    }

    /**
     * Every splice names a conductor that has an end at that place, and following them ends somewhere.
     *
     * @throws InvalidData
     */
    public function check(string $pointer): void
    {
        foreach ($this->cables as $c => $cable) {
            foreach ($cable->conductors as $n => $conductor) {
                foreach (['near' => $conductor->near, 'far' => $conductor->far] as $side => $end) {
                    if ($end->onto === null) {
                        continue;
                    }
                    $at = "{$pointer}/cables/{$c}/conductors/{$n}/{$side}";
                    $this->target($cable, $side, $end->onto) ??
                        throw InvalidData::notAllowed(
                            "{$at}/onto",
                            $end->onto,
                            Message::of('wiring.splices.another-conductor-has-end-at'),
                        );
                    $round = $this->circle("{$cable->id}{$conductor->number}", $side);
                    if ($round !== null) {
                        throw InvalidData::notAllowed(
                            "{$at}/onto",
                            $end->onto,
                            Message::of('wiring.splices.splice-ends-somewhere-one-goes', round: $round),
                        );
                    }
                }
            }
        }
    }

    /**
     * The far terminal that a conductor reaches, through as many splices as there are.
     *
     * @return ?array{\Unionbit\Core\Terminal\Place, string} place and printed letter
     */
    public function reaches(Cable $cable, Conductor $conductor, string $side = 'far'): ?array
    {
        $seen = [];
        while (! isset($seen["{$cable->id}{$conductor->number}.{$side}"])) {
            $seen["{$cable->id}{$conductor->number}.{$side}"] = true;
            $end = $side === 'far' ? $conductor->far : $conductor->near;
            if ($end->terminal !== null) {
                return [$side === 'far' ? $cable->to : $cable->from, $end->terminal];
            }
            $next =
                $end->onto === null
                    ? $this->joinedBy($cable, $conductor, $side)
                    : $this->target($cable, $side, $end->onto);
            if ($next === null) {
                return null;
            }
            [$cable, $conductor, $joined] = $next;
            $stays = $joined === 'far' ? $conductor->far : $conductor->near;
            if ($stays->terminal !== null) {
                return [$joined === 'far' ? $cable->to : $cable->from, $stays->terminal];
            }
            $side = $joined === 'far' ? 'near' : 'far';
        }

        return null;
    }

    /** @return ?array{Cable, Conductor, string} the conductor that a splice names, and its end at that place */
    public function target(Cable $cable, string $side, string $onto): ?array
    {
        $place = $side === 'far' ? $cable->to : $cable->from;
        foreach ($this->cables as $candidate) {
            $conductor = str_starts_with($onto, $candidate->id)
                ? $candidate->conductor((int) substr($onto, strlen($candidate->id)))
                : null;
            $end = $candidate->endAt($place);
            if ($conductor !== null && $end !== null) {
                return [$candidate, $conductor, $end];
            }
        }

        return null;
    }

    /** @return ?array{Cable, Conductor, string} another conductor that says it is spliced to this end */
    private function joinedBy(Cable $cable, Conductor $conductor, string $side): ?array
    {
        $place = $side === 'far' ? $cable->to : $cable->from;
        foreach ($this->cables as $candidate) {
            $end = $candidate->endAt($place);
            foreach ($end === null ? [] : $candidate->conductors as $other) {
                if (($end === 'near' ? $other->near : $other->far)->onto === "{$cable->id}{$conductor->number}") {
                    return [$candidate, $other, (string) $end];
                }
            }
        }

        return null;
    }

    /** The way round, "A1 → A2 → A1", where following the splices comes back to where it began. */
    private function circle(string $start, string $side): ?string
    {
        $way = [$start];
        $id = $start;
        for ($step = 0; $step < 200; $step++) {
            $here = $this->named($id);
            $end = $here === null ? null : ($side === 'far' ? $here[1]->far : $here[1]->near);
            if ($here === null || $end?->onto === null) {
                return null;
            }
            $next = $this->target($here[0], $side, $end->onto);
            if ($next === null) {
                return null;
            }
            $id = $next[0]->id.$next[1]->number;
            $side = $next[2];
            $way[] = $id;
            if ($id === $start) {
                return implode(' → ', $way);
            }
            if (in_array($id, array_slice($way, 1, -1), true)) {
                return null;
            }
        }

        return null;
    }

    /** @return ?array{Cable, Conductor} */
    private function named(string $id): ?array
    {
        foreach ($this->cables as $cable) {
            $conductor = str_starts_with($id, $cable->id)
                ? $cable->conductor((int) substr($id, strlen($cable->id)))
                : null;
            if ($conductor !== null) {
                return [$cable, $conductor];
            }
        }

        return null;
    }
}
