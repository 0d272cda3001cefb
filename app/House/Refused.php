<?php

declare(strict_types=1);

namespace App\House;

use Exception;
use Illuminate\Contracts\Debug\ShouldntReport;

/**
 * What a job cannot take, by the field that it stands in. A problem of the domain: turned into a validation answer at
 * one place, `bootstrap/app.php`.
 */
final class Refused extends Exception implements ShouldntReport
{
    /** @param  array<string, list<string>>  $problems in words, by field */
    private function __construct(public readonly array $problems)
    {
        parent::__construct(implode(' ', array_merge(...array_values($problems))));
    }

    public static function at(string $field, string ...$problems): self
    {
        return new self([$field => array_values($problems)]);
    }

    /** @param  array<string, list<string>>  $problems */
    public static function all(array $problems): self
    {
        return new self($problems);
    }
}
