<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Words\Message;

/** What may have happened to a house before, and how much oftener each repair is then the one. Our working figures. */
final readonly class History
{
    /** @param  array<string, Field>  $words  by id */
    private function __construct(private array $words)
    {
    }

    /** @param  list<Field>  $entries */
    public static function read(array $entries): self
    {
        $words = [];
        foreach ($entries as $entry) {
            $words[$entry->string('id')] = $entry;
        }

        return new self($words);
    }

    /** @return array<string, Message> by word */
    public function words(): array
    {
        return array_map(
            static fn (Field $f): Message => Message::named('history', $f->string('title')),
            $this->words,
        );
    }

    /**
     * What was told, parted into its words and what is only a note.
     *
     * @param  list<string>  $told
     * @return array{list<string>, list<string>}
     */
    public function parted(array $told): array
    {
        $knows = fn (string $word): bool => isset($this->words[$word]);

        return [
            array_values(array_filter($told, $knows)),
            array_values(array_filter($told, static fn (string $word): bool => ! $knows($word))),
        ];
    }

    /** How much a word of the history raises what a kind of repair ends; 1 where it does not. */
    public function raises(string $word, string $repairKind): float
    {
        $raises = ($this->words[$word] ?? null)?->at('raises');

        return $raises !== null && $raises->has($repairKind) ? $raises->number($repairKind) : 1.0;
    }
}
