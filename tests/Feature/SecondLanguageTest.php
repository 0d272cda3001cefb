<?php

declare(strict_types=1);

use App\Handover\HandoverSheet;
use App\Models\Job;
use App\Words\Dates;
use Illuminate\Support\Facades\Process;

it('prints the record in a second language without a plain word', function (): void {
    Process::path(base_path())->run('bin/pseudo')->throw();
    config(['app.locale' => 'en-XA']);
    app()->setLocale('en-XA');
    $this->seed();
    $job = Job::at('Lock Keeper\'s Row 4');
    $text = html_entity_decode(
        strip_tags(
            str_replace('<', ' <', (new HandoverSheet($job, new Dates('en-XA', new DateTimeZone('UTC'))))->html()),
        ),
        ENT_QUOTES,
    );
    $text = substr($text, (int) strpos($text, '[')); // Behind the sheet's own style.
    // Data, not language: the house and its people, titles of equipment, a menu's own words, months and units.
    $names = [
        'Lock Keeper\'s Row 4',
        'Saltmarsh Locks',
        'Ebb & Sluice Heating',
        'Wren Halyard',
        'Conventional',
        'Compressor protection',
        App\House\House::of($job)->installation->archetype->title,
    ];
    preg_match_all('/(?<![\p{L}\d])[A-Za-z]{3,}(?![\p{L}\d])/u', str_replace($names, ' ', $text), $words);
    $plain = array_filter($words[0], fn (string $word): bool => preg_match('/[aeiouy]/i', $word) === 1);

    expect(array_values(array_unique($plain)))->toBe(['Nov', 'min']);
});
