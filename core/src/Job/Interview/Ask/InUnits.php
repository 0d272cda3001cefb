<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Words\Message;

/** What varies within a unit and changes what a meter reads: asked where a unit of the house has that option. */
final class InUnits
{
    private const CHOICES = [
        'control' => ['board', 'relays'],
        'inputs' => ['relay', 'electronic'],
        'motor' => ['relay', 'ecm'],
        'pressure' => ['yes', 'no'],
        'humidifier' => ['none', 'board'],
        'dehumidify' => ['none', 'opens', 'closes'],
    ];

    /** @return list<Question> */
    public static function all(): array
    {
        $questions = [];
        foreach (self::CHOICES as $key => $choices) {
            $words = array_map(
                static fn (string $choice): Message => Message::of('job.in-unit.choice', of: $key, choice: $choice),
                $choices,
            );
            $questions[] = Question::choice(
                $key,
                Message::of('job.questions.inside'),
                Message::of('job.in-unit.text', of: $key),
                Message::of('job.in-unit.help', of: $key),
                array_combine($choices, $words),
                static fn (Installation $h): bool => $h->equipmentSeen() && $h->archetype->isAskedFor($key),
            );
        }

        return $questions;
    }
}
