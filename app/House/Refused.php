<?php

declare(strict_types=1);

namespace App\House;

use Exception;
use Illuminate\Contracts\Debug\ShouldntReport;
use Unionbit\Core\Words\Message;

/**
 * What a job cannot take, by the field that it stands in. A problem of the domain: turned into a validation answer at
 * one place, `bootstrap/app.php`.
 */
final class Refused extends Exception implements ShouldntReport
{
    /** @param  array<string, list<Message>>  $problems  by field */
    private function __construct(public readonly array $problems)
    {
        parent::__construct('Refused: '.implode(', ', array_keys($problems)));
    }

    public static function at(string $field, Message ...$problems): self
    {
        return new self([$field => array_values($problems)]);
    }

    /** @param  array<string, list<Message>>  $problems */
    public static function all(array $problems): self
    {
        return new self($problems);
    }
}
