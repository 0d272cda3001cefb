<?php

declare(strict_types=1);

namespace App\Share;

use App\Handover\HandoverPage;
use App\Handover\Worth;
use App\House\ConductorView;
use App\House\House;
use App\House\JobMark;
use App\Models\Job;
use App\Models\Share\SharePart;
use App\Records\Progress\Progress;
use App\Trace\Book\TraceBook;
use App\Trace\TracePage;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;

/** What somebody outside the crew reads of a house: the chosen parts of its record, and nothing of the others. */
final readonly class SharedPage
{
    /** Seconds that one look works at what the proofs are worth; what is missing then is there at the next. */
    private const WORTH = 2.0;

    /** @param  array<string, mixed>  $record  as the crew's own page of the record shows it */
    private function __construct(private Job $job, private string $address, private array $record)
    {
    }

    /**
     * @param  list<SharePart>  $parts
     * @param  string  $address  of the page: its photographs stand under it
     * @return array<string, mixed>
     */
    public static function props(Job $job, array $parts, string $address): array
    {
        $page = new self($job, $address, HandoverPage::props($job));
        $props = $page->head();
        foreach ($parts as $part) {
            $props = [...$props, ...$page->part($part)];
        }

        return $props;
    }

    /** @return array<string, mixed> what stands there whatever was chosen */
    private function head(): array
    {
        return [
            'crew' => $this->record['crew'],
            'house' => House::of($this->job)->installation->equipment(),
            'kind' => Message::term($this->job->kind),
            'handedOverAt' => $this->job->handed_over_at?->toIso8601String(),
            'marks' => array_values(array_filter([JobMark::says($this->job), $this->record['simulated']])),
        ];
    }

    /** @return array<string, mixed> */
    private function part(SharePart $part): array
    {
        return match ($part) {
            SharePart::Place => [
                'place' => [
                    'site' => $this->job->site,
                    'system' => $this->job->system_name,
                    'address' => $this->job->address,
                ],
            ],
            SharePart::Wiring => [
                ...$this->only('facts', 'thermostat', 'wiring', 'beside'),
                'found' => $this->found(),
            ],
            SharePart::Settings => $this->only('settings'),
            SharePart::Calls => [
                ...$this->only('baseline', 'waived', 'restore', 'open'),
                'calls' => $this->calls(),
                'worth' => Worth::of($this->job, self::WORTH),
            ],
            SharePart::Readings => $this->readings(),
            SharePart::Fault => ['traced' => $this->fault()],
            SharePart::Photographs => ['photos' => $this->photographs()],
            SharePart::Customer => $this->only('customer'),
        };
    }

    /** @return array<string, mixed> */
    private function only(string ...$keys): array
    {
        return array_intersect_key($this->record, array_flip($keys));
    }

    /** @return list<array<string, mixed>> every cable, end to end, as it was found */
    private function found(): array
    {
        $house = House::of($this->job)->installation;

        return array_map(
            static fn (Cable $cable): array => [
                'id' => $cable->id,
                'label' => $cable->label(),
                'from' => $house->placeName($cable->from),
                'to' => $house->placeName($cable->to),
                'conductors' => array_map(
                    static fn ($conductor): array => [
                        'number' => $conductor->number,
                        ...ConductorView::insulation($conductor->colour, $conductor->stripe),
                        'near' => $conductor->near->label(),
                        'far' => $conductor->far->label(),
                        'evidence' => $conductor->evidence->label(),
                        'condition' => ConductorView::condition($conductor->condition, $conductor->touches),
                    ],
                    $cable->conductors,
                ),
            ],
            $house->cables,
        );
    }

    /** @return list<array{call: Message, state: string}> */
    private function calls(): array
    {
        return array_values(
            array_map(
                static fn (array $proof): array => [
                    'call' => $proof['label'],
                    'state' => match (true) {
                        $proof['proved'] => 'proved',
                        $proof['failed'] => 'failed',
                        $proof['waived'] !== null => 'omitted',
                        default => 'open',
                    },
                ],
                Progress::of($this->job)->proofs(),
            ),
        );
    }

    /** @return array<string, mixed> */
    private function readings(): array
    {
        $proofs = $this->record['proofs'];

        return [
            'points' => $this->record['points'],
            'survey' => $this->rows($this->record['survey']),
            'proofs' => array_map(
                fn (array $proof): array => [...$proof, 'readings' => $this->rows($proof['readings'] ?? [])],
                array_values(array_filter(is_array($proofs) ? $proofs : [], is_array(...))),
            ),
            'unexplained' => $this->rows($this->record['unexplained']),
            ...$this->only('figures'),
        ];
    }

    /** @return list<array<mixed>> */
    private function rows(mixed $readings): array
    {
        return array_map(
            static fn (array $reading): array => [
                ...$reading,
                // That it came in with a file is said, by whom is not.
                'fromFile' => ($reading['fromFile'] ?? null) === null ? null : '',
            ],
            array_values(array_filter(is_array($readings) ? $readings : [], is_array(...))),
        );
    }

    /** @return ?array<string, mixed> the complaint, every row, who is suspected; null while no fault is open */
    private function fault(): ?array
    {
        $book = TraceBook::of($this->job);
        $page = $book?->open === null ? [] : TracePage::fault($this->job, $book);
        $trace = $page['trace'] ?? null;
        $opened = $page['opened'] ?? null;
        if (! is_array($trace) || ! is_array($opened)) {
            return null;
        }
        $rows = array_filter(is_array($trace['rows']) ? $trace['rows'] : [], is_array(...));
        $suspects = array_filter(is_array($trace['suspects']) ? $trace['suspects'] : [], is_array(...));

        return [
            'at' => $opened['at'],
            'told' => $opened['told'],
            'history' => $opened['history'],
            'finished' => $trace['finished'],
            'rows' => self::each($rows, 'number', 'at', 'place', 'test', 'setup', 'result', 'withdrawn', 'odd'),
            'suspects' => array_map(
                static fn (array $s): array => [
                    'title' => $s['title'],
                    'detail' => $s['detail'],
                    'percent' => (int) round(100.0 * (is_float($s['share']) ? $s['share'] : 0.0)),
                ],
                array_values(array_filter($suspects, static fn (array $s): bool => ! (bool) $s['fallen'])),
            ),
        ];
    }

    /**
     * @param  array<array<mixed>>  $rows
     * @return list<array<mixed>>
     */
    private static function each(array $rows, string ...$keys): array
    {
        return array_map(
            static fn (array $row): array => array_intersect_key($row, array_flip($keys)),
            array_values($rows),
        );
    }

    /** @return list<array<mixed>> those that there are */
    private function photographs(): array
    {
        $photos = [];
        foreach (is_array($this->record['photos']) ? $this->record['photos'] : [] as $photo) {
            if (is_array($photo) && is_string($photo['id'] ?? null)) {
                $photos[] = [...$photo, 'url' => "{$this->address}/photos/{$photo['id']}"];
            }
        }

        return $photos;
    }
}
