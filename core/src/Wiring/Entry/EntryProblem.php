<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Entry;

use Unionbit\Core\Words\Message;

/** One thing wrong in a one-line entry: which field, the text that failed, and what is allowed there. */
final readonly class EntryProblem
{
    public function __construct(public string $field, public string $value, public Message $message)
    {
    }

    /** @return array{field: string, value: string, message: Message} */
    public function toArray(): array
    {
        return ['field' => $this->field, 'value' => $this->value, 'message' => $this->message];
    }
}
