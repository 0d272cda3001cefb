<?php

declare(strict_types=1);

namespace App\Words;

use BackedEnum;
use Closure;
use MessageFormatter;
use NumberFormatter;
use stdClass;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * Puts messages into the words of one language and the units of one person. Lists are joined as the language joins
 * them; beside each list `x` its pattern may ask for `x_count`, and beside each text for `x_key`, which `select` can
 * read: its words take no hyphen. Any pattern may ask for the `system` of units, us or metric.
 */
final class Speaker
{
    /** @var array<string, MessageFormatter> */
    private array $formatters = [];

    /** @var array<int, NumberFormatter> by decimals; -1 for as many as there are */
    private array $numbers = [];

    /** @param  Units|Closure(): Units  $units  those of whoever asks, which is not known before they have signed in */
    public function __construct(private readonly Lexicon $lexicon, private readonly Units|Closure $units)
    {
    }

    /** The same language in other units. */
    public function in(Units $units): self
    {
        return new self($this->lexicon, $units);
    }

    public function units(): Units
    {
        return $this->units instanceof Units ? $this->units : ($this->units)();
    }

    /**
     * The units of a page, for the interface, which shows and takes figures by itself.
     *
     * @return array{system: string, table: array<string, array{unit: string, factor: float, offset: float}>}
     */
    public function page(): array
    {
        $units = $this->units();

        return ['system' => $units->value, 'table' => $units->table($this->sign(...))];
    }

    public function say(Message $message): string
    {
        return match ($message->code) {
            'words.none' => '',
            'words.raw' => $this->param($message->params['text']),
            'words.sentences' => implode(' ', $this->each($message->params['all'])),
            'words.series' => implode('; ', $this->each($message->params['all'])),
            'words.within' => self::within($this->param($message->params['text'])),
            'words.opening' => self::opening($this->param($message->params['text'])),
            'words.term' => $this->term($message),
            default => $this->pattern($message),
        };
    }

    /**
     * Everything said in what goes to a person: messages and quantities anywhere in it.
     *
     * @param  mixed  $told  arrays of anything
     */
    public function spoken(mixed $told): mixed
    {
        return match (true) {
            $told instanceof Message => $this->say($told),
            $told instanceof Quantity => $this->quantity($told),
            is_array($told) => array_map($this->spoken(...), $told),
            $told instanceof stdClass => (object) array_map($this->spoken(...), (array) $told),
            default => $told,
        };
    }

    public function quantity(Quantity $quantity): string
    {
        $units = $this->units();
        [$value, $sign] = $units->shown($quantity->value, $quantity->unit);
        $sign = $this->sign($sign);
        $number = $this->number(
            $value,
            match (true) {
                $quantity->decimals !== null => $quantity->decimals + $units->moreDecimals($quantity->unit),
                $units->converts($quantity->unit) => self::decimals($value),
                default => null,
            },
        );

        return match (true) {
            $sign === '' => $number,
            $quantity->unit === Unit::Percent => $number.$this->word('units.percent'),
            default => $number.' '.$sign,
        };
    }

    /** The sign of a unit, which is a word in some: "tons". */
    public function sign(string $unit): string
    {
        return $this->lexicon->pattern("units.{$unit}") ?? $unit;
    }

    private function pattern(Message $message): string
    {
        $pattern = $this->lexicon->pattern($message->code);
        if ($pattern === null) {
            // A name of the catalog is English where a language has no other for it.
            return isset($message->params['name']) && str_starts_with($message->code, 'catalog.')
                ? $this->param($message->params['name'])
                : $message->code;
        }
        if (! str_contains($pattern, '{')) {
            return $pattern;
        }

        return $this->format($message->code, $pattern, $this->values($message));
    }

    /** @return array<string, string|int> what a pattern may name */
    private function values(Message $message): array
    {
        $values = ['system' => $this->units()->value];
        foreach ($message->params as $name => $param) {
            if (is_array($param)) {
                $values["{$name}_count"] = count($param);
            }
            if (is_string($param)) {
                $values["{$name}_key"] = str_replace('-', '_', $param);
            }
            $values[$name] = is_int($param) ? $param : $this->param($param);
        }

        return $values;
    }

    /** @param  array<string, string|int>  $values */
    private function format(string $code, string $pattern, array $values): string
    {
        $formatter = $this->formatters[$code] ??= new MessageFormatter($this->lexicon->locale, $pattern);
        $said = $formatter->format($values);

        return $said === false ? $code : $said;
    }

    /** @param  string|int|Quantity|Message|BackedEnum|list<string|int|Quantity|Message|BackedEnum>  $param */
    private function param(string|int|Quantity|Message|BackedEnum|array $param): string
    {
        return match (true) {
            is_string($param) => $param,
            is_int($param) => (string) $param,
            is_array($param) => $this->list(array_map($this->param(...), $param)),
            $param instanceof Quantity => $this->quantity($param),
            $param instanceof Message => $this->say($param),
            default => $this->say(Message::term($param)),
        };
    }

    /**
     * @param  string|int|Quantity|Message|BackedEnum|list<string|int|Quantity|Message|BackedEnum>  $all
     * @return list<string>
     */
    private function each(string|int|Quantity|Message|BackedEnum|array $all): array
    {
        $said = array_map($this->param(...), is_array($all) ? $all : [$all]);

        return array_values(array_filter($said, static fn (string $part): bool => $part !== ''));
    }

    /** @param  list<string>  $items "a, b and c" */
    private function list(array $items): string
    {
        $last = array_pop($items);
        if ($items === []) {
            return (string) $last;
        }
        $first = implode($this->word('words.between'), $items);

        return $this->format('words.and', $this->word('words.and'), ['first' => $first, 'last' => (string) $last]);
    }

    private function term(Message $message): string
    {
        $member = $message->params['of'];
        if (! ($member instanceof BackedEnum)) {
            return '';
        }
        $view = $message->params['view'];
        $set = substr($member::class, (int) strrpos($member::class, '\\') + 1);
        $key = $view === '' ? "{$set}.{$member->value}" : "{$set}.{$this->param($view)}.{$member->value}";

        return $this->lexicon->pattern("terms.{$key}") ?? (string) $member->value;
    }

    private function word(string $code): string
    {
        return $this->lexicon->pattern($code) ?? $code;
    }

    /** Decimals of a converted value: one, and three figures of what is less than one. */
    private static function decimals(float $value): int
    {
        $size = abs($value);

        return $size >= 1.0 || $size < 1.0e-9 ? 1 : 2 - (int) floor(log10($size));
    }

    private function number(float $value, ?int $decimals): string
    {
        $formatter = $this->numbers[$decimals ?? -1] ??= self::formatter($this->lexicon->locale, $decimals);
        $rounded = $decimals === null ? $value : round($value, $decimals);

        return (string) $formatter->format($rounded === 0.0 ? 0.0 : $rounded);
    }

    private static function formatter(string $locale, ?int $decimals): NumberFormatter
    {
        $formatter = new NumberFormatter($locale, NumberFormatter::DECIMAL);
        $formatter->setAttribute(NumberFormatter::ROUNDING_MODE, NumberFormatter::ROUND_HALFUP);
        if ($decimals === null) {
            $formatter->setAttribute(NumberFormatter::SIGNIFICANT_DIGITS_USED, 1);
            $formatter->setAttribute(NumberFormatter::MAX_SIGNIFICANT_DIGITS, 6);
        } else {
            $formatter->setAttribute(NumberFormatter::FRACTION_DIGITS, $decimals);
        }

        return $formatter;
    }

    /**
     * Without its capital, but for a word that is more than one letter of capitals, or a letter by itself: R–C, MR07.
     */
    private static function within(string $text): string
    {
        return preg_match('/^\p{Lu}\p{Ll}/u', $text) === 1 || preg_match('/^A \p{Ll}/u', $text) === 1
            ? mb_strtolower(mb_substr($text, 0, 1)).mb_substr($text, 1)
            : $text;
    }

    private static function opening(string $text): string
    {
        return mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }
}
