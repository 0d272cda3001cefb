<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Terminal\Place;
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
                foreach (Side::cases() as $side) {
                    $tip = new Tip($cable, $conductor, $side);
                    $onto = $tip->end()->onto;
                    $says = $onto === null ? null : $this->wrong($tip);
                    if ($says !== null) {
                        $at = "{$pointer}/cables/{$c}/conductors/{$n}/{$side->value}/onto";
                        throw InvalidData::notAllowed($at, $onto, $says);
                    }
                }
            }
        }
    }

    private function wrong(Tip $tip): ?Message
    {
        if ($this->onward($tip) === null) {
            return Message::of('wiring.splices.another-conductor-has-end-at');
        }
        $round = $this->circle($tip);

        return $round === null ? null : Message::of('wiring.splices.splice-ends-somewhere-one-goes', round: $round);
    }

    /** Where the far terminal stands that a conductor reaches, through as many splices as there are. */
    public function reaches(Cable $cable, Conductor $conductor): ?Tip
    {
        $tip = new Tip($cable, $conductor, Side::Far);
        $seen = [];
        while (! isset($seen[$tip->at()->id])) {
            $seen[$tip->at()->id] = true;
            if ($tip->end()->terminal !== null) {
                return $tip;
            }
            $joined = $this->onward($tip) ?? $this->joinedBy($tip);
            if ($joined === null || $joined->end()->terminal !== null) {
                return $joined;
            }
            $tip = $joined->other();
        }

        return null;
    }

    /** The end that a splice names, at the same place; null where it names none that is there. */
    public function onward(Tip $tip): ?Tip
    {
        $onto = $tip->end()->onto;

        return $onto === null ? null : $this->named($tip->place(), $onto);
    }

    /** The end at a place of the conductor of this name; null where it has none there. */
    public function named(Place $place, string $conductor): ?Tip
    {
        return array_find($this->at($place), static fn (Tip $t): bool => $t->conductor->id() === $conductor);
    }

    /** Another conductor's end that says it is spliced to this one. */
    private function joinedBy(Tip $tip): ?Tip
    {
        $id = $tip->conductor->id();

        return $tip->end()->onto !== null
            ? null
            : array_find($this->at($tip->place()), static fn (Tip $t): bool => $t->end()->onto === $id);
    }

    /** @return list<Tip> every end at a place */
    private function at(Place $place): array
    {
        $tips = [];
        foreach ($this->cables as $cable) {
            $side = $cable->endAt($place);
            array_push($tips, ...$side === null ? [] : $cable->tips($side));
        }

        return $tips;
    }

    /** The way round, "A1 → A2 → A1", where following the splices comes back to where it began. */
    private function circle(Tip $start): ?string
    {
        $id = $start->conductor->id();
        $way = [$id];
        $tip = $start;
        for ($step = 0; $step < 200; $step++) {
            $tip = $this->onward($tip);
            $here = $tip?->conductor->id();
            if ($here === null || in_array($here, array_slice($way, 1), true)) {
                return null;
            }
            $way[] = $here;
            if ($here === $id) {
                return implode(' → ', $way);
            }
        }

        return null;
    }
}
