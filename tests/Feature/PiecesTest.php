<?php

declare(strict_types=1);

use App\Handover\MakePdf;
use App\Handover\Pieces;
use App\Models\Job;

// A record of many readings as a PDF: drawn in pieces, none lost, in the memory that a worker has.

/** Of parts: headings, paragraphs and tables of so many rows, each with a number of its own. */
function sheetOf(array $parts): string
{
    $n = 0;
    $html = '';
    foreach ($parts as $rows) {
        $html .= '<h2>Part '.++$n.'</h2><table><tr><th>head '.$n.'</th></tr>';
        for ($row = 0; $row < $rows; $row++) {
            $html .= '<tr><td>row '.++$n.' °F</td></tr>';
        }
        $html .= '</table><p>after '.++$n.'</p>';
    }

    return "<!doctype html><html><head><meta charset=\"utf-8\"><style>p{}</style></head><body>{$html}</body></html>";
}

it('cuts a long sheet so that every row stands once, in its order, and no heading stands alone', function (
    array $parts,
): void {
    $html = sheetOf($parts);
    $pieces = Pieces::of($html);
    $said = static function (string $html): array {
        preg_match_all('/(Part|row|after) \d+( °F)?/u', html_entity_decode($html), $found);

        return $found[0];
    };

    expect(array_merge(...array_map($said, $pieces)))->toBe($said($html));
    foreach ($pieces as $piece) {
        expect(substr_count($piece, '<tr'))
            ->toBeLessThanOrEqual(203)
            ->and($piece)
            ->toContain('p{}')
            ->not->toMatch('#</h2>\s*</body>#');
    }
    expect(count($pieces))->toBe(array_sum($parts) < 190 ? 1 : count($pieces));
})->with([
    'short' => [[3, 40]],
    'one long table' => [[1999]],
    'long ones between short ones' => [[5, 450, 2, 101, 199, 1]],
    'many short ones' => [array_fill(0, 150, 3)],
    'just as much as fits' => [[99, 99, 100, 100, 200]],
]);

it('draws five hundred readings in the memory that a page has', function (): void {
    $row = fn (int $n): array => [
        ...['id' => newId(), 'seq' => $n, 'at' => '2026-11-20T10:00:00Z', 'by' => 'A. Teal', 'simulated' => false],
        ...['stage' => 'survey', 'step' => null, 'call' => null, 'mode' => 'V', 'a' => 'indoor.R'],
        ...['b' => 'indoor.C', 'value' => 26.4, 'power' => 'live', 'expected' => [], 'outcome' => 'pass'],
        ...['reason' => str_repeat('why it is so ', 8), 'candidates' => [], 'corrects_id' => null],
    ];
    $file = json_decode(jobFile(), true);
    $file['records'] = ['readings' => array_map($row, range(1, 500))];
    installer();
    $job = Job::query()->findOrFail(importFiles(['a.json' => (string) json_encode($file)])[0]['job']['id']);
    $before = memory_get_usage();
    memory_reset_peak_usage();
    $pdf = MakePdf::of($job, new DateTimeZone('UTC'), 'letter');

    expect(memory_get_peak_usage() - $before)
        ->toBeLessThan(90_000_000)
        ->and($pdf)
        ->toStartWith('%PDF-')
        ->and(preg_match_all('#/Type\s*/Page\b#', $pdf))
        ->toBeGreaterThan(15);
});
