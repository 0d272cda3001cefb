<?php

declare(strict_types=1);

namespace App\Trace\View;

use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Words\Message;

/** Something to be seen or heard, with what may be answered. */
final class SignView
{
    /** @return array{key: string, label: Message, answers: list<array{value: string, label: Message}>} */
    public static function of(Senses $sight, string $key): array
    {
        return [
            'key' => $key,
            'label' => Senses::name($key) ?? Message::raw($key),
            'answers' => array_map(
                static fn (string $a): array => ['value' => $a, 'label' => SignAnswer::from($a)->label()],
                $sight->answers[$key] ?? [],
            ),
        ];
    }
}
