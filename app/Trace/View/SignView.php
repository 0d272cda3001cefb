<?php

declare(strict_types=1);

namespace App\Trace\View;

use Unionbit\Core\Tracing\World\Said;
use Unionbit\Core\Tracing\World\Sight;
use Unionbit\Core\Words\Message;

/** Something to be seen or heard, with what may be answered. */
final class SignView
{
    /** @return array{key: string, label: Message, answers: list<array{value: string, label: Message}>} */
    public static function of(Sight $sight, string $key): array
    {
        return [
            'key' => $key,
            'label' => Sight::name($key) ?? Message::raw($key),
            'answers' => array_map(
                static fn (string $a): array => ['value' => $a, 'label' => Said::from($a)->label()],
                $sight->answers[$key] ?? [],
            ),
        ];
    }
}
