<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Entry;

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Words\Message;

/** The words that a conductor line is offered while it is typed, the likely ones first. Each is one that it takes. */
final class EntryWords
{
    /** Letters of a wall plate, as often as they are met. */
    private const PLATE = ['R', 'C', 'W', 'Y', 'G', 'O', 'B', 'W2', 'Y2', 'Rc', 'Rh', 'Aux', 'E', 'O/B', 'L'];

    private const FLAGS = ['!', 'seen', '?', 'splice'];

    /** @return array{colours: list<array{key: string, word: Message}>, plate: list<string>, flags: list<string>} */
    public static function offered(): array
    {
        return [
            'colours' => array_map(
                static fn (Colour $c): array => ['key' => $c->value, 'word' => Message::term($c)],
                Colour::cases(),
            ),
            'plate' => [...self::PLATE, 'cap', '-'],
            'flags' => [
                ...self::FLAGS,
                Condition::Loose->value,
                Condition::Exposed->value,
                Condition::Pinched->value,
                Condition::Crushed->value,
                Condition::Open->value,
                Condition::Cabinet->value,
            ],
        ];
    }
}
