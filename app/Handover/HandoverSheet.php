<?php

declare(strict_types=1);

namespace App\Handover;

use App\Models\Job;
use App\Words\Dates;
use App\Words\Words;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Words\Message;

/**
 * The record of a job on paper: what the handover page shows, in the words and the zone of whoever prints it.
 *
 * @phpstan-type Signed array{
 *     name: string, role: string, at: string, strokes: list<list<array{int, int}>>, simulated: bool,
 * }
 * @phpstan-type Point array{id: string, label: string, placeLabel: string}
 * @phpstan-type Page array{
 *     points: list<Point>,
 *     job: array{mark: ?string, importedAt: ?string}, simulated: ?string, unsigned: list<string>,
 *     baseline: list<array{call: string, state: string, told: ?string}>,
 *     survey: list<mixed>, proofs: list<mixed>, signatures: list<Signed>,
 * }
 */
final class HandoverSheet
{
    public function __construct(private readonly Job $job, private readonly Dates $dates)
    {
    }

    public function html(): string
    {
        /** @var Page $page */
        $page = Words::spoken(HandoverPage::props($this->job));

        $points = array_column($page['points'], null, 'id');

        return view('handover', [
            'page' => $page,
            'say' => self::say(...),
            'handedOver' => $this->handedOver(),
            'marks' => $this->marks($page),
            'day' => fn (string $at): string => $this->dates->day($at),
            'worth' => $page['proofs'] === [] ? [] : Words::each(Worth::of($this->job)),
            'proofs' => [
                ['call' => self::say('survey'), 'method' => '', 'readings' => $page['survey']],
                ...$page['proofs'],
            ],
            'outcome' => self::outcome(...),
            'pair' => static fn (array $taken): string => self::pair($taken['a'], $taken['b'], $points),
            'signatures' => array_map($this->signature(...), $page['signatures']),
        ])->render();
    }

    private function handedOver(): ?string
    {
        $at = $this->job->handed_over_at;

        return $at === null ? null : $this->dates->moment($at);
    }

    /** @param  string|list<string>  ...$params */
    private static function say(string $key, string|array ...$params): string
    {
        return Words::say(Message::of("screen/handover.{$key}", ...$params));
    }

    /**
     * "R–C indoor board": two points as they are printed, and the place of the first.
     *
     * @param  array<string, Point>  $points  by id; one of the old plate is not among them
     */
    private static function pair(mixed $a, mixed $b, array $points): string
    {
        $place = is_string($a) ? $points[$a]['placeLabel'] ?? '' : '';

        return self::point($a, $points).'–'.self::point($b, $points).' '.$place;
    }

    /** @param  array<string, Point>  $points */
    private static function point(mixed $id, array $points): string
    {
        $id = is_string($id) ? $id : '';

        return $points[$id]['label'] ?? substr($id, (int) strpos($id, '.') + 1);
    }

    private static function outcome(Outcome $outcome): string
    {
        return Words::of(
            match ($outcome) {
                Outcome::Pass => 'screen/shared.pass',
                Outcome::Fail => 'screen/shared.fail',
                Outcome::TooEarly => 'screen/shared.too-early',
                Outcome::Neutral => 'screen/shared.ghost',
            },
        );
    }

    private static function role(string $role): string
    {
        return $role === 'customer' ? self::say('the-customer') : self::say('the-installer');
    }

    /**
     * What the whole sheet stands under: demo data, simulated readings, a record that came from a file, a signature
     * that is missing.
     *
     * @param  Page  $page
     * @return list<string>
     */
    private function marks(array $page): array
    {
        return array_values(
            array_filter([
                $page['job']['mark'],
                $page['simulated'],
                $page['job']['importedAt'] === null
                    ? null
                    : self::say('read-from-a-job-file-on', day: $this->dates->day($page['job']['importedAt'])),
                $this->job->handed_over_at === null || $page['unsigned'] === []
                    ? null
                    : self::say(
                        'handed-over-without-the-signature-of',
                        unsigned: array_map(self::role(...), $page['unsigned']),
                    ),
            ]),
        );
    }

    /**
     * @param  Signed  $signature
     * @return array{drawing: string, line: string}
     */
    private function signature(array $signature): array
    {
        $path = '';
        foreach ($signature['strokes'] as $stroke) {
            $path .=
                'M'.
                implode('L', array_map(static fn (array $p): string => $p[0] / 5 .' '.$p[1] / 12.5, $stroke));
        }
        $svg =
            '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="80">'.
            "<path d=\"{$path}\" fill=\"none\" stroke=\"#16211f\" stroke-width=\"1.6\"/></svg>";

        return [
            'drawing' => 'data:image/svg+xml;base64,'.base64_encode($svg),
            'line' => implode(
                ', ',
                array_filter([
                    $signature['name'],
                    self::role($signature['role']),
                    $this->dates->moment($signature['at']),
                    $signature['simulated'] ? self::say('simulated') : null,
                ]),
            ),
        ];
    }
}
