<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Words\Message;

/** What the people who live there want of the new thermostat, and what the work may ask. */
final class Wished
{
    /** What can be asked to survive a full pan. */
    public const SURVIVES = ['thermostat', 'fan', 'heat', 'emergency'];

    /** @return list<Question> */
    public static function all(): array
    {
        return [
            self::choice('remote', 'no', 'yes'),
            self::choice('batteries', 'yes', 'no'),
            self::choice('humidity', 'no', 'humidify', 'dehumidify', 'both'),
            self::choice('wallPlace', 'may', 'stays', 'should'),
            self::choice('workAt', 'any', 'wall'),
            self::choice('budget', 'any', 'small', 'nothing'),
            Question::ticks(
                'panFull',
                Message::of('job.wish.section'),
                Message::of('job.wish.text', of: 'panFull'),
                Message::of('job.wish.help', of: 'panFull'),
                array_combine(
                    self::SURVIVES,
                    array_map(
                        static fn (string $what): Message => Message::of(
                            'job.wish.choice',
                            of: 'panFull',
                            choice: $what,
                        ),
                        self::SURVIVES,
                    ),
                ),
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools', 'reverses') ||
                    $h->answers->is('condensing', 'yes'),
            ),
        ];
    }

    private static function choice(string $key, string ...$choices): Question
    {
        $words = array_map(
            static fn (string $choice): Message => Message::of('job.wish.choice', of: $key, choice: $choice),
            $choices,
        );

        return Question::choice(
            $key,
            Message::of('job.wish.section'),
            Message::of('job.wish.text', of: $key),
            Message::of('job.wish.help', of: $key),
            array_combine($choices, $words),
        );
    }
}
