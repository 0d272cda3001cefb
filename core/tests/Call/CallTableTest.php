<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallSettings;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Tests\Support\House;

$letters = static fn (array $names): array => array_map(static fn (TerminalName $n): string => $n->value, $names);

it('closes what a gas furnace with cooling needs', function (string $call, array $closes) use ($letters): void {
    expect($letters(CallTable::needed(House::archetype())->closes(CallName::from($call))))->toBe($closes);
})->with([['idle', []], ['fan', ['G']], ['cool-1', ['Y1', 'G']], ['heat-1', ['W1']]]);

it('closes what the thermostat makes of its settings', function (
    string $type,
    string $fan,
    string $call,
    ?array $closes,
) use ($letters): void {
    $table = CallTable::made(House::profile(House::C_POWERED), new CallSettings($type, FanInHeat::from($fan)));

    expect($table->has(CallName::from($call)) ? $letters($table->closes(CallName::from($call))) : null)->toBe(
        $closes,
    );
})->with([
    ['conventional', 'equipment', 'heat-1', ['W1']],
    ['conventional', 'thermostat', 'heat-1', ['W1', 'G']],
    ['conventional', 'none', 'cool-1', ['Y1', 'G']],
    ['heat-only', 'equipment', 'cool-1', null],
    ['cool-only', 'equipment', 'heat-1', null],
]);
