<?php

declare(strict_types=1);

use App\Words\Lexicon;
use App\Words\Speaker;
use App\Words\Units;
use Tests\Support\Codes;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/** @return array<string, string> every pattern of a language by its whole code */
function patterns(string $locale = 'en'): array
{
    $patterns = [];
    foreach ((array) glob(lang_path("{$locale}/{,screen/}*.json"), GLOB_BRACE) as $file) {
        $room = substr((string) $file, strlen(lang_path("{$locale}/")), -strlen('.json'));
        foreach ((new Lexicon($locale, lang_path($locale)))->room($room) as $key => $pattern) {
            $patterns["{$room}.{$key}"] = $pattern;
        }
    }

    return $patterns;
}

/** @return list<string> names that a pattern asks for, without the counts of lists */
function asked(string $pattern): array
{
    $names = [];
    askedIn($pattern, 0, $names);

    // The system of units is there for every pattern.
    return array_values(
        array_diff(
            array_unique(
                array_map(fn (string $n): string => (string) preg_replace('/_(count|key)$/', '', $n), $names),
            ),
            ['system'],
        ),
    );
}

/**
 * Walks one message of ICU syntax: arguments, and the messages inside of plural and select.
 *
 * @param  list<string>  $names
 * @return int where it ends
 */
function askedIn(string $pattern, int $at, array &$names): int
{
    while ($at < strlen($pattern) && $pattern[$at] !== '}') {
        if ($pattern[$at] !== '{') {
            $at++;

            continue;
        }
        preg_match('/\G\{\s*(\w+)\s*/', $pattern, $name, 0, $at);
        $names[] = $name[1] ?? '';
        $at += strlen($name[0] ?? '{');
        $at += strcspn($pattern, '{}', $at);
        while ($at < strlen($pattern) && $pattern[$at] === '{') {
            $at = askedIn($pattern, $at + 1, $names) + 1;
            $at += strcspn($pattern, '{}', $at);
        }
        $at++;
    }

    return $at;
}

it('has words for every code that is said, with every parameter that they ask for', function (): void {
    $patterns = patterns();
    $problems = [];
    foreach (Codes::said() as ['code' => $code, 'params' => $params, 'spread' => $spread, 'at' => $at]) {
        if (! isset($patterns[$code])) {
            $problems[] = "{$at}: {$code} has no words";
        } elseif (! $spread && array_diff(asked($patterns[$code]), $params) !== []) {
            $problems[] = "{$at}: {$code} asks for ".implode(', ', array_diff(asked($patterns[$code]), $params));
        }
    }

    expect($problems)->toBe([]);
});

it('says every word that it has', function (): void {
    $said = array_flip(array_column(Codes::said(), 'code'));
    // Of the interface's own, `words.test.ts` says which are said.
    $families = ['screen/', 'terms.', 'words.', 'units.', 'catalog.', 'ui.', 'plan.drawing.'];
    $unsaid = array_filter(
        array_keys(patterns()),
        fn (string $code): bool => ! isset($said[$code]) &&
            array_filter($families, fn (string $f): bool => str_starts_with($code, $f)) === [],
    );

    expect(array_values($unsaid))->toBe([]);
});

it('renders every message with every kind of parameter', function (): void {
    $speaker = new Speaker(new Lexicon('en', lang_path('en')), Units::Us);
    $counts = [0, 1, 2];
    $lists = [[], ['one'], ['one', Quantity::ohms(3.0), Message::raw('three')]];
    $clauses = [Quantity::volts(24.0), Message::of('screening.sc13.common'), 'text'];
    $wrong = [];
    foreach (patterns() as $code => $pattern) {
        if (str_starts_with($code, 'screen/')) {
            continue;
        }
        // Each parameter in every kind that its place in the pattern can take.
        foreach ([0, 1, 2] as $turn) {
            $params = [];
            foreach (asked($pattern) as $name) {
                $params[$name] = match (true) {
                    str_contains($pattern, "{{$name}_count,") => $lists[$turn],
                    str_contains($pattern, "{{$name}, plural") => $counts[$turn],
                    str_contains($pattern, "{{$name}_key,") => 'text',
                    default => [...$clauses, ...$counts, ...$lists][$turn * 3 + $turn] ?? 'text',
                };
            }
            $said = $speaker->say(Message::of($code, ...$params));
            if ($said === $code || preg_match('/\{[a-z_]+\}/', $said) === 1) {
                $wrong[] = "{$code}: {$said}";
            }
        }
    }

    expect($wrong)->toBe([]);
});
