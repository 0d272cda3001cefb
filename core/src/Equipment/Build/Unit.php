<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Terminal\Place;

/** One thing at one place, with screws and parts inside, from its file in `catalog/units`. */
final readonly class Unit
{
    private const PARTS = [
        'bonded',
        'doorSwitch',
        'boardRunsBlower',
        'kind',
        'says',
        'dehumidify',
        'heat',
        'terminals',
        'transformers',
        'loads',
        'switches',
        'ties',
        'modes',
        'follows',
        'delays',
    ];

    /**
     * @param  array<string, Option>  $options  by key
     * @param  list<array{Condition, ?Place}>  $chosenBy  answers of the survey that mean this unit, any one of them,
     *     and where it stands then, where that is not its own place
     * @param  string  $role  plain, coil (the outdoor unit works with it), accessory (no call of heat or cooling is
     *     its own) or panel (it stands between the thermostat and everything else)
     * @param  array<string, list<mixed>>  $provides  facts for the other units of the house, by name: which of the
     *     entries holds
     * @param  array<string, list<mixed>>  $assumed  what is taken for the answer to further questions where it stands
     * @param  array<string, list<mixed>>  $names  words and numbers that its parts ask for by `$name`
     * @param  array<string, mixed>  $parts  terminals, loads and so on as the file has them
     */
    private function __construct(
        public string $id,
        public string $title,
        public Place $place,
        public string $role,
        public array $options,
        public array $chosenBy,
        private array $provides,
        private array $assumed,
        private array $names,
        private array $parts,
    ) {
    }

    /** @throws InvalidData */
    public static function read(mixed $json): self
    {
        $node = Field::root($json);
        $options = $parts = [];
        foreach ($node->keys('options') as $key) {
            $options[$key] = Option::read($key, $node->at('options')->at($key));
        }
        foreach (self::PARTS as $key) {
            if ($node->has($key)) {
                $parts[$key] = $node->value($key);
            }
        }

        return new self(
            $node->string('id'),
            $node->string('title'),
            $node->enum('place', Place::class),
            $node->string('role', 'plain'),
            $options,
            array_map(
                static fn (Field $entry): array => [
                    Condition::of($entry, except: 'place'),
                    $entry->has('place') ? $entry->enum('place', Place::class) : null,
                ],
                $node->each('chosenBy'),
            ),
            self::entries($node, 'provides'),
            self::entries($node, 'assumed'),
            self::entries($node, 'names'),
            $parts,
        );
    }

    /** @param  array<string, string>  $answers */
    public function isMeantBy(array $answers): bool
    {
        return $this->entryMeantBy($answers) !== null;
    }

    /** @param  array<string, string>  $answers */
    public function placeMeantBy(array $answers): ?Place
    {
        return $this->entryMeantBy($answers)[1] ?? null;
    }

    /**
     * @param  array<string, string>  $answers
     * @return ?array{Condition, ?Place}
     */
    private function entryMeantBy(array $answers): ?array
    {
        foreach ($this->chosenBy as $entry) {
            if ($entry[0]->holds($answers)) {
                return $entry;
            }
        }

        return null;
    }

    /**
     * @param  array<string, string>  $chosen  options of this unit
     * @return array<string, string> what the other units of the house have to know of it
     */
    public function facts(array $chosen): array
    {
        return self::filled($this->provides, $chosen);
    }

    /**
     * @param  array<string, string>  $chosen  options of this unit
     * @return array<string, string> answers by question: what a house of this unit is taken for until somebody looked
     */
    public function assumed(array $chosen): array
    {
        return self::filled($this->assumed, $chosen);
    }

    /**
     * Its parts as a whole: what the facts leave out is gone, what they name is filled in.
     *
     * @param  array<string, string>  $facts  its own options, and what the other units provide
     */
    public function parts(array $facts): Field
    {
        return Field::root(
            Template::fill($this->parts, $facts, Template::names($this->names, $facts) + $facts),
            "/units/{$this->id}",
        );
    }

    /**
     * How many supplies of its own it brings.
     *
     * @param  array<string, string>  $chosen  options of this unit
     */
    public function supplies(array $chosen): int
    {
        return count((array) Template::fill($this->parts['transformers'] ?? [], $chosen, []));
    }

    /**
     * @param  array<string, list<mixed>>  $entries
     * @param  array<string, string>  $chosen
     * @return array<string, string>
     */
    private static function filled(array $entries, array $chosen): array
    {
        return array_map(strval(...), array_filter(Template::names($entries, $chosen), is_scalar(...)));
    }

    /** @return array<string, list<mixed>> */
    private static function entries(Field $node, string $key): array
    {
        $entries = [];
        foreach ($node->keys($key) as $name) {
            $list = $node->at($key)->value($name);
            $entries[$name] = is_array($list) ? array_values($list) : [];
        }

        return $entries;
    }
}
