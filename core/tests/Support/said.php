<?php

declare(strict_types=1);

use App\Words\Lexicon;
use App\Words\Speaker;
use App\Words\Units;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

// Where a test reads a sentence, it reads the English one. Loaded from tests/Pest.php, for the core and the
// application.

/** Everything said in English, in US units: messages anywhere in it. */
function said(mixed $told): mixed
{
    static $speaker = null;
    $speaker ??= new Speaker(new Lexicon('en', dirname(__DIR__, 3).'/lang/en'), Units::Us);

    return $speaker->spoken($told);
}

/** @param  iterable<mixed>  $told */
function joined(string $between, iterable $told): string
{
    return implode($between, array_map(static fn (mixed $m): string => (string) said($m), [...$told]));
}

/** That data is refused with these words: for `toThrow`. */
function refusing(string $says): Closure
{
    return static fn (InvalidData $p): mixed => expect("{$p->pointer}: ".said($p->problem))->toContain($says);
}

/** Whether there is a message anywhere in it. */
function isTold(mixed $value): bool
{
    return $value instanceof Message ||
        $value instanceof Quantity ||
        (is_array($value) && array_filter($value, isTold(...)) !== []);
}

foreach (
    ['toBe', 'toContain', 'toStartWith', 'toEndWith', 'toMatch', 'toEqual', 'toEqualCanonicalizing'] as $name
) {
    expect()->pipe(
        $name,
        fn (Closure $next, mixed ...$expected): mixed => isTold($this->value) && ! isTold($expected)
            ? expect(said($this->value))->{$name}(...$expected)
            : $next(),
    );
}
