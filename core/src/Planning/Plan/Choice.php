<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;

/** Which of the offered plans was taken, and why: kept with the plan. Editing by hand afterwards is noted. */
final readonly class Choice
{
    /**
     * @param  string  $title  of the offered plan
     * @param  list<string>  $ways  codes of the ways out that it takes, WO.. and MR..
     * @param  list<string>  $reasons  computed when it was offered
     * @param  string  $customer  the same in plain words
     * @param  string  $note  the installer's own reason
     * @param  bool  $edited  conductors were moved by hand since
     */
    public function __construct(
        public string $title,
        public array $ways,
        public array $reasons,
        public string $customer,
        public string $note = '',
        public bool $edited = false,
    ) {
    }

    public function edited(): self
    {
        return new self($this->title, $this->ways, $this->reasons, $this->customer, $this->note, true);
    }

    /** @throws InvalidData */
    public static function read(Field $node): self
    {
        return new self(
            $node->string('title'),
            $node->strings('ways'),
            $node->strings('reasons'),
            $node->string('customer', ''),
            $node->string('note', ''),
            $node->bool('edited', false),
        );
    }

    /**
     * @return array{title: string, ways: list<string>, reasons: list<string>, customer: string, note: string,
     *     edited: bool}
     */
    public function toArray(): array
    {
        return [
            'title' => $this->title,
            'ways' => $this->ways,
            'reasons' => $this->reasons,
            'customer' => $this->customer,
            'note' => $this->note,
            'edited' => $this->edited,
        ];
    }
}
