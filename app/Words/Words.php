<?php

declare(strict_types=1);

namespace App\Words;

use BackedEnum;
use Closure;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/** The words for whoever is asking: their language, their units. The one place where messages become text. */
final class Words
{
    public static function say(Message $message): string
    {
        return app(Speaker::class)->say($message);
    }

    /** @param  string|int|Quantity|Message|BackedEnum|list<string|int|Quantity|Message|BackedEnum>  ...$params */
    public static function of(string $code, string|int|Quantity|Message|BackedEnum|array ...$params): string
    {
        return self::say(Message::of($code, ...$params));
    }

    /**
     * Says what is kept of a crew in its units, whoever asks for it.
     *
     * @template T
     *
     * @param  Closure(): T  $said
     * @return T
     */
    public static function in(Units $units, Closure $said): mixed
    {
        $speaker = app(Speaker::class);
        app()->instance(Speaker::class, $speaker->in($units));
        try {
            return $said();
        } finally {
            app()->instance(Speaker::class, $speaker);
        }
    }

    /**
     * @param  list<Message>  $messages
     * @return list<string>
     */
    public static function each(array $messages): array
    {
        return array_map(self::say(...), $messages);
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, mixed>  $told
     * @return array<K, mixed>
     */
    public static function spoken(array $told): array
    {
        $speaker = app(Speaker::class);

        return array_map($speaker->spoken(...), $told);
    }

    /**
     * For machines: every message with its code and parameters beside the words.
     *
     * @param  array<mixed>  $told
     * @return array<mixed>
     */
    public static function told(array $told): array
    {
        return array_map(static fn (mixed $part): mixed => self::toldOne($part), $told);
    }

    private static function toldOne(mixed $part): mixed
    {
        return match (true) {
            $part instanceof Message => [
                'text' => self::say($part),
                'code' => $part->code,
                'params' => self::told($part->params),
            ],
            $part instanceof Quantity => [
                'value' => $part->value,
                'unit' => $part->unit->value,
            ],
            is_array($part) => self::told($part),
            default => $part,
        };
    }
}
