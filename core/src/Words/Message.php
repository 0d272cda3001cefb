<?php

declare(strict_types=1);

namespace Unionbit\Core\Words;

use BackedEnum;
use InvalidArgumentException;

/**
 * What there is to say, without the words for it: a code and named parameters. The sentence stands in a file of words
 * under that code; whoever shows it asks a renderer. Equal by value (`==`).
 *
 * A parameter is a symbol or a name that no language changes (a screw's letter, a person's name), a count, a quantity
 * with its unit, a member of a closed set, another message as a clause of the sentence, or a list of these.
 *
 * @phpstan-type Plain string|int|Quantity|self|BackedEnum
 * @phpstan-type Param Plain|list<Plain>
 */
final readonly class Message
{
    /** @param  array<string, Param>  $params */
    private function __construct(public string $code, public array $params)
    {
    }

    /**
     * @param  string  $code  "planning.mr04.common-on-hot": the room's file of words, the place in it
     * @param  Param  ...$params  by name
     *
     * @throws InvalidArgumentException for a parameter without a name
     */
    public static function of(string $code, string|int|Quantity|self|BackedEnum|array ...$params): self
    {
        foreach (array_keys($params) as $name) {
            if (is_int($name)) {
                throw new InvalidArgumentException("{$code}: every parameter has a name.");
            }
        }
        /** @var array<string, Param> $params */

        return new self($code, $params);
    }

    /** Says nothing: a clause that this sentence goes without. */
    public static function none(): self
    {
        return new self('words.none', []);
    }

    /** The word for a member of a closed set; under another view where it has more than one, as a screw's role. */
    public static function term(BackedEnum $member, string $view = ''): self
    {
        return new self('words.term', ['of' => $member, 'view' => $view]);
    }

    /**
     * A name that the catalog gives in English: "indoor heat relay". Another language has it under this code.
     *
     * @param  string  $kind  "part", "equipment", "thermostat"
     */
    public static function named(string $kind, string $name): self
    {
        $slug = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($name)), '-');

        return new self("catalog.{$kind}.{$slug}", ['name' => $name]);
    }

    /** What somebody wrote, as it was written. */
    public static function raw(string $text): self
    {
        return new self('words.raw', ['text' => $text]);
    }

    /**
     * Whole sentences, one after the other.
     *
     * @param  list<self>  $sentences
     */
    public static function sentences(array $sentences): self
    {
        $said = array_values(array_filter($sentences, static fn (self $s): bool => ! $s->isNone()));

        return count($said) === 1 ? $said[0] : new self('words.sentences', ['all' => $said]);
    }

    /**
     * Things beside each other, kept apart: "one; another".
     *
     * @param  list<self>  $items
     */
    public static function series(array $items): self
    {
        return count($items) === 1 ? $items[0] : new self('words.series', ['all' => $items]);
    }

    public function isNone(): bool
    {
        return $this->code === 'words.none' || ($this->code === 'words.sentences' && $this->params['all'] === []);
    }

    /** The same in the middle of a sentence: without its capital. */
    public function within(): self
    {
        return new self('words.within', ['text' => $this]);
    }

    /** The same at the beginning of a sentence: with a capital. */
    public function opening(): self
    {
        return new self('words.opening', ['text' => $this]);
    }

    public function with(string $name, string|int|Quantity|self|BackedEnum $value): self
    {
        return new self($this->code, [...$this->params, $name => $value]);
    }

    /** One key for equal messages, for sets and caches. */
    public function key(): string
    {
        return md5(serialize($this));
    }

    /**
     * Each of equal messages once, in order.
     *
     * @param  list<self>  $messages
     * @return list<self>
     */
    public static function unique(array $messages): array
    {
        $known = [];
        foreach ($messages as $message) {
            $known[$message->key()] ??= $message;
        }

        return array_values($known);
    }
}
