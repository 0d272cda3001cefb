<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Suggest;

use Unionbit\Core\Equipment\Build\Shelf;
use Unionbit\Core\Equipment\Build\Unheld;
use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Words\Message;

/** Which entry of the equipment catalogue the answers describe, and the answers that an entry stands for. */
final readonly class EquipmentMatch
{
    /**
     * @param  ?string  $id  of the catalogue; null while something is still to be answered, or nothing fits
     * @param  list<string>  $open  keys of questions that would decide it
     * @param  list<Message>  $unheld  why nothing fits
     */
    private function __construct(
        public ?string $id,
        public array $open,
        private Answers $answers,
        private Shelf $shelf,
        private array $unheld = [],
    ) {
    }

    /** @param  ?string  $current  equipment of the house as it stands, which is kept where the answers allow it */
    public static function of(Answers $answers, Shelf $shelf, ?string $current = null): self
    {
        $open = self::open($answers);
        if ($open !== []) {
            return new self(null, $open, $answers, $shelf);
        }
        try {
            $meant = $shelf->meant($answers->choices());
            $id =
                $current !== null && $shelf->isMeant($current, $meant)
                    ? $current
                    : $shelf->name($shelf->carrying($meant, $current));
            $shelf->archetype($id);
        } catch (Unheld $unheld) {
            $why = [$unheld->why, Message::of('job.equipment-match.catalogue-has-no-such-equipment')];

            return new self(null, [], $answers, $shelf, $why);
        }

        return new self($id, [], $answers, $shelf);
    }

    /**
     * @return list<Message> what it follows from, in the order in which it is asked, and why nothing fits; worked out
     *     when it is asked for: every answer is left out once
     */
    public function why(): array
    {
        if ($this->open !== []) {
            return [];
        }
        $why = [];
        foreach (self::deciding($this->answers, $this->shelf) as $key) {
            $said = Questions::named($key)?->said($this->answers->given[$key]);
            if ($said !== null) {
                $why[] = match ($key) {
                    'coolStages' => Message::of('job.equipment-match.compressor-stages', said: $said->within()),
                    'heatStages' => Message::of('job.equipment-match.heat-stages', said: $said->within()),
                    default => $said->within(),
                };
            }
        }

        return [...$why, ...$this->unheld];
    }

    /** @return list<string> keys of the answers that are needed, and of those without which it would be another */
    private static function deciding(Answers $answers, Shelf $shelf): array
    {
        $meant = self::meant($answers, $shelf);
        $needed = self::needed($answers);
        $deciding = array_filter(
            array_map(strval(...), array_keys($answers->choices())),
            static fn (string $key): bool => in_array($key, $needed, true) ||
                self::meant($answers->with($key, null), $shelf) !== $meant,
        );
        $order = array_flip(Questions::keys());
        $place = static fn (string $key): int => $order[Questions::own($key)] ?? count($order);
        usort($deciding, static fn (string $a, string $b): int => $place($a) <=> $place($b));

        return $deciding;
    }

    /** What the answers mean, or why they mean nothing that there is, as a text to compare. */
    private static function meant(Answers $answers, Shelf $shelf): string
    {
        try {
            return $shelf->meant($answers->choices())->key();
        } catch (Unheld $unheld) {
            return $unheld->why->code;
        }
    }

    /** The answers that an entry of the catalogue stands for. */
    public static function answersOf(Shelf $shelf, string $id): Answers
    {
        $answers = new Answers();
        foreach ($shelf->answers($id) as $key => $value) {
            $answers = $answers->with($key, $value);
        }

        return $answers;
    }

    /** @return list<string> keys of the questions that still decide what it is */
    public static function open(Answers $answers): array
    {
        return array_values(
            array_filter(self::needed($answers), static fn (string $key): bool => $answers->choice($key) === null),
        );
    }

    /** @return list<string> keys of the questions without which it cannot be said */
    private static function needed(Answers $answers): array
    {
        $needed = ['outdoor', 'heatSource'];
        if ($answers->is('outdoor', 'cools', 'reverses')) {
            $needed[] = 'coolStages';
        }
        if ($answers->is('outdoor', 'reverses')) {
            $needed[] = 'valve';
        }
        if ($answers->is('heatSource', 'gas', 'oil', 'electric')) {
            $needed[] = 'heatStages';
        }

        return $needed;
    }
}
