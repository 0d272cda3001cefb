<?php

declare(strict_types=1);

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Wiring\Identify\Routine;
use Unionbit\Core\Wiring\Identify\Traced;

// Which is which, over random cables: what is said is true, what answers is traced, what is broken is never traced.

/**
 * What ohms at one end say: the ends there whose other ends are twisted together, through whole conductors.
 *
 * @param  list<list<string>>  $twisted  at the other end
 * @param  array<string, string>  $to  this end by the other end; a broken one is missing
 * @return list<list<string>>
 */
function ohms(array $twisted, array $to): array
{
    $groups = [];
    foreach ($twisted as $group) {
        $answer = array_values(array_intersect_key($to, array_flip($group)));
        if (count($answer) > 1) {
            shuffle($answer);
            $groups[] = $answer;
        }
    }
    shuffle($groups);

    return $groups;
}

it('finds each of any number in at most two trips', function (int $count, int $known): void {
    mt_srand(100 * $count + $known);
    $unknown = array_map(static fn (int $n): string => "A{$n}", range(1, $count));
    $proved = array_map(static fn (int $n): string => "A{$n}", $known === 0 ? [] : range(20, 19 + $known));
    $routine = Routine::of($unknown, $proved);
    $far = $routine->near;
    shuffle($far);
    $truth = [...array_combine($routine->near, $far), ...array_combine($proved, $proved)];
    if ($routine->kind === 'none') {
        expect([$count, $known])->toBeIn([[1, 0], [2, 0]]);

        return;
    }
    $found = ohms($routine->far, array_flip($truth));
    $answered = ohms($routine->near($found), $truth);
    $read = $routine->read($found, $answered);

    expect($read->pairs)
        ->toEqual(array_intersect_key($truth, array_flip($routine->near)))
        ->and($read->open)
        ->toBe([])
        ->and($read->broken)
        ->toBe([])
        ->and(count($read->silent))
        ->toBeLessThanOrEqual(1)
        ->and($routine->trips(false))
        ->toBe($count <= $known ? 1 : 2)
        ->and($routine->trips(true))
        ->toBe(0);
})->with(
    array_merge(
        ...array_map(static fn (int $n): array => [[$n, 0], [$n, 1], [$n, 2], [$n, 5]], [
            1,
            2,
            3,
            4,
            5,
            6,
            7,
            8,
            9,
            10,
            12,
        ]),
    ),
);

it('never calls a broken one whole, nor says what two ways could be', function (int $seed): void {
    mt_srand($seed);
    $count = mt_rand(3, 8);
    $unknown = array_map(static fn (int $n): string => "A{$n}", range(1, $count));
    $known = mt_rand(0, 1) === 1 ? ['A20', 'A21', 'A22', 'A23'] : [];
    $routine = Routine::of($unknown, $known);
    $far = $routine->near;
    shuffle($far);
    $truth = [...array_combine($routine->near, $far), ...array_combine($known, $known)];
    $broken = $routine->near[mt_rand(0, count($routine->near) - 1)];
    $whole = array_diff_key($truth, [$broken => true]);
    $found = ohms($routine->far, array_flip($whole));
    $read = $routine->read($found, ohms($routine->near($found), $whole));

    expect($read->contradicts)->toBeFalse()->and($broken)->not->toBeIn($read->whole);
    foreach ($read->whole as $near) {
        expect($read->pairs[$near])->toBe($truth[$near]);
    }
})->with(range(1, 60));

it('leaves out two that touch, found at both sides, and tells the rest apart', function (int $seed): void {
    mt_srand($seed);
    $unknown = array_map(static fn (int $n): string => "A{$n}", range(1, mt_rand(5, 9)));
    $far = $unknown;
    shuffle($far);
    $truth = array_combine($unknown, $far);
    $touching = array_slice($far, 0, 2);
    $near = array_values(array_intersect_key(array_flip($truth), array_flip($touching)));
    $routine = Routine::of($unknown, [], [$near], [$touching]);
    $found = ohms($routine->far, array_flip($truth));
    $read = $routine->read($found, ohms($routine->near($found), $truth));

    expect($read->pairs)->toEqual(array_diff_key($truth, array_flip($near)))->and($read->open)->toBe([]);
    $conductors = array_map(
        static fn (int $n): Conductor => new Conductor(
            $n + 1,
            Colour::cases()[$n],
            End::landed("N{$n}"),
            End::landed("F{$n}"),
            Evidence::Unknown,
        ),
        array_keys($unknown),
    );
    $cable = new Cable('A', Place::Wall, Place::Indoor, 18, 40.0, $conductors);
    $traced = Traced::cable($cable, $read, [], $read->silent, [$near], [$touching]);
    foreach ($traced->conductors as $conductor) {
        $id = $conductor->id();
        $damaged = $traced->damageOf($conductor) !== [];
        $there = in_array($id, $near, true) ? $touching : [$truth[$id]];
        expect($conductor->near->terminal)
            ->toBe('N'.($conductor->number - 1))
            ->and(in_array('A'.(1 + (int) substr((string) $conductor->far->terminal, 1)), $there, true))
            ->toBeTrue()
            ->and($conductor->evidence->isProof())
            ->toBe(in_array($id, $read->whole, true))
            ->and($damaged && $conductor->evidence->isProof())
            ->toBeFalse();
    }
    // What never had to answer and did not when it was read is open; the touching ones are marked.
    $marked = array_filter($traced->conductors, static fn (Conductor $c): bool => $traced->damageOf($c) !== []);
    expect(count($marked))->toBe(1 + count($read->silent));
})->with(range(1, 30));

it('says that readings contradict each other', function (): void {
    $routine = Routine::of(['A1', 'A2', 'A3', 'A4', 'A5'], []);
    $read = $routine->read([['A1', 'A2', 'A3', 'A4']], []);

    expect($read->contradicts)->toBeTrue()->and($read->pairs)->toBe([]);
});
