<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

/**
 * The answers that equipment stands for: what its units' files say of themselves, read backwards. One of each unit's
 * entries of `chosenBy` together with the answers of its options, so that these answers mean just this equipment.
 */
final readonly class Meaning
{
    /** @param  array<string, Chosen>  $units  those that answers select */
    private function __construct(private Shelf $shelf, private array $units)
    {
    }

    /** @return array<string, string> by question; empty where no answers mean it */
    public static function of(Composition $composition, Shelf $shelf, int $supplies): array
    {
        $meaning = new self($shelf, $composition->asked());
        $known = ['supplies' => [(string) $supplies], ...$meaning->decided()];
        foreach ($meaning->together(array_values($meaning->units), $known) as $allowed) {
            $answers = $meaning->answered($allowed);
            if ($meaning->isWhole($answers) && $meaning->isMeantBy($answers)) {
                return $answers;
            }
        }

        return [];
    }

    /** @return array<string, list<string>> by question: answers that options have made, whatever else is answered */
    private function decided(): array
    {
        $decided = [];
        foreach ($this->options(null) as $question => $answer) {
            $decided[$question] = [$answer];
        }

        return $decided;
    }

    /**
     * One entry of each unit, all of them at once.
     *
     * @param  list<Chosen>  $units
     * @param  array<string, list<string>>  $allowed
     * @return iterable<array<string, list<string>>>
     */
    private function together(array $units, array $allowed): iterable
    {
        $chosen = array_shift($units);
        if ($chosen === null) {
            yield $allowed;

            return;
        }
        foreach ($chosen->unit->chosenBy as [$condition, $place]) {
            $both = $place === null || $place === $chosen->place ? $condition->within($allowed) : null;
            if ($both !== null) {
                yield from $this->together($units, $both);
            }
        }
    }

    /**
     * @param  array<string, list<string>>  $allowed
     * @return array<string, string> an answer rather than none
     */
    private function answered(array $allowed): array
    {
        $answers = [];
        foreach ($allowed as $question => $each) {
            $said = array_values(array_diff($each, ['']));
            $answers += $said === [] ? [] : [$question => $said[0]];
        }
        $answers += $this->options($answers);
        foreach ($this->units as $chosen) {
            $answers += $chosen->unit->assumed($chosen->options);
        }

        return $answers;
    }

    /**
     * @param  ?array<string, string>  $answers  null: those of options that are asked under no condition
     * @return array<string, string>
     */
    private function options(?array $answers): array
    {
        $said = [];
        $units = array_map(static fn (Chosen $c): Unit => $c->unit, array_values($this->units));
        foreach ($this->units as $chosen) {
            foreach ($chosen->unit->options as $key => $option) {
                $question = $option->question($chosen->unit, $units);
                $answer = $option->answering($chosen->options[$key]);
                if ($question !== null && $answer !== null && $option->given->holds($answers ?? [])) {
                    $said[$question] = $answer;
                }
            }
        }

        return $said;
    }

    /**
     * Whether each option that these answers ask about can be answered as it is.
     *
     * @param  array<string, string>  $answers
     */
    private function isWhole(array $answers): bool
    {
        foreach ($this->units as $chosen) {
            foreach ($chosen->unit->options as $key => $option) {
                $asks = ! $option->given->isEmpty() && $option->given->holds($answers);
                if ($asks && $option->answering($chosen->options[$key]) === null) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param  array<string, string>  $answers */
    private function isMeantBy(array $answers): bool
    {
        try {
            $meant = $this->shelf->meant($answers)->asked();
        } catch (Unheld) {
            return false;
        }
        if (array_keys($meant) !== array_keys($this->units)) {
            return false;
        }
        foreach ($meant as $id => $chosen) {
            $asked = array_filter($chosen->unit->options, static fn (Option $o): bool => $o->answer !== null);
            $mine = array_intersect_key($this->units[$id]->options, $asked);
            if ($mine !== array_intersect_key($chosen->options, $asked)) {
                return false;
            }
        }

        return true;
    }
}
