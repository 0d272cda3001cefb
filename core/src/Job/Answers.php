<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

/** What was answered to the survey's questions, by key: a choice, a number, text, or several ticks. */
final readonly class Answers
{
    /** @param  array<string, string|float|list<string>>  $given */
    public function __construct(public array $given = [])
    {
    }

    public function choice(string $key): ?string
    {
        $value = $this->given[$key] ?? null;

        return is_string($value) ? $value : null;
    }

    /** @return array<string, string> every answer that is a choice or a text, by key */
    public function choices(): array
    {
        return array_filter($this->given, is_string(...));
    }

    public function is(string $key, string ...$values): bool
    {
        return in_array($this->choice($key), $values, true);
    }

    public function number(string $key): ?float
    {
        $value = $this->given[$key] ?? null;

        return is_float($value) ? $value : null;
    }

    /** @return list<string> */
    public function ticks(string $key): array
    {
        $value = $this->given[$key] ?? [];

        return is_array($value) ? $value : [];
    }

    /** @param  string|float|list<string>|null  $value  null takes the answer back */
    public function with(string $key, string|float|array|null $value): self
    {
        $given = $this->given;
        unset($given[$key]);

        return new self($value === null ? $given : [...$given, $key => $value]);
    }
}
