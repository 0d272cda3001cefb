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

/** What is told by its codes and parameters instead of its English: for comparison with what is on record. */
function coded(mixed $told): mixed
{
    return match (true) {
        $told instanceof Message => match (true) {
            $told->params === [] => $told->code,
            $told->code === 'words.term' => coded($told->params['of']),
            $told->code === 'words.raw' => $told->params['text'],
            $told->code === 'wiring.conductor.name' => "#{$told->params['number']}",
            default => [$told->code => coded($told->params)],
        },
        $told instanceof Quantity => trim(round($told->value, 4).' '.$told->unit->value),
        $told instanceof BackedEnum => $told->value,
        is_float($told) => is_finite($told) ? round($told, 4) : (string) $told,
        is_array($told) => array_map(coded(...), $told),
        default => $told,
    };
}

/** One line for each entry, so that a change shows as the lines that it changes. */
function lines(iterable $entries): string
{
    $lines = [];
    foreach ($entries as $name => $entry) {
        $lines[] =
            "{$name}: ".
            json_encode(coded($entry), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    return implode("\n", $lines)."\n";
}

/**
 * What was told when it was last looked at, from `core/tests/Records`. `RECORD=1 vendor/bin/pest …` writes it anew:
 * what changes in it is to be read line by line before it is kept.
 */
function onRecord(string $name, string $told): string
{
    $file = dirname(__DIR__)."/Records/{$name}.txt";
    if (getenv('RECORD') === '1') {
        file_put_contents($file, $told);
    }

    return (string) file_get_contents($file);
}

/**
 * Where something turns as a value is moved from the least to the most: each turn with what it turns to, and whether it
 * has turned at that very value.
 *
 * @param  Closure(float): string  $at
 * @return list<string> "20: fault, at it"
 */
function turning(Closure $at, float $min, float $max): array
{
    $points = [];
    for ($i = 0; $i <= 60; $i++) {
        $points[] = $min + ($max - $min) * ($i / 60);
        $points[] = $min + ($max - $min) * 1.0e-5 ** ($i / 60);
    }
    sort($points);
    $turns = [$at($min)];
    foreach ($points as $i => $low) {
        $high = $points[$i + 1] ?? $low;
        $from = $at($low);
        if ($from === $at($high)) {
            continue;
        }
        for ($n = 0; $n < 40; $n++) {
            $middle = ($low + $high) / 2;
            $at($middle) === $from ? ($low = $middle) : ($high = $middle);
        }
        $edge = round($high, 3);
        $turns[] = "{$edge}: ".$at($high).($at($edge) === $from ? ', past it' : ', at it');
    }

    return $turns;
}
