<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use App\Jobs\File\RecordColumns;
use App\Models\Crew\User;
use App\Models\Photo;
use App\Models\PhotoMark;
use App\Records\Photo\Photographs;
use Illuminate\Database\Eloquent\Model;
use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Words\Message;

/** What an archive says of one photograph, or of why there is none. */
final readonly class PhotoRow
{
    private const MOST_MARKS = 200;

    /**
     * @param  list<array{id: string, x: float, y: float, end: string, takesBack: ?string, at: string,
     *     by: string}>  $marks
     */
    private function __construct(
        public string $id,
        public string $place,
        public ?string $skipped,
        public string $at,
        public string $by,
        public array $marks,
    ) {
    }

    /** @return array<string, mixed> */
    public static function write(Photo $photo): array
    {
        return [
            'id' => $photo->id,
            'place' => $photo->place,
            'skipped' => $photo->skipped,
            'at' => $photo->at->toIso8601String(),
            'by' => self::by($photo),
            'marks' => array_values(
                $photo->marks
                    ->map(
                        static fn (PhotoMark $m): array => [
                            'id' => $m->id,
                            'x' => $m->x,
                            'y' => $m->y,
                            'end' => $m->end,
                            'takesBack' => $m->takes_back_id,
                            'at' => $m->at->toIso8601String(),
                            'by' => self::by($m),
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /**
     * @param  int  $most  photographs
     * @return list<self>
     *
     * @throws InvalidData
     */
    public static function read(mixed $json, int $most): array
    {
        $rows = array_map(self::one(...), Field::root(['photographs' => $json])->each('photographs', $most));
        $seen = [];
        foreach ($rows as $number => $row) {
            if (isset($seen[$row->id])) {
                throw InvalidData::notAllowed(
                    "/photographs/{$number}/id",
                    $row->id,
                    Message::of('jobs.archive.each-once'),
                );
            }
            $seen[$row->id] = true;
        }

        return $rows;
    }

    private static function one(Field $row): self
    {
        $place = $row->string('place');
        if (! in_array($place, Photographs::PLACES, true)) {
            throw InvalidData::notAllowed($row->pointer.'/place', $place, implode(', ', Photographs::PLACES));
        }

        return new self(
            $row->string('id', most: 26),
            $place,
            $row->has('skipped') ? $row->line('skipped', most: 160) : null,
            RecordColumns::time($row->string('at'), $row->pointer.'/at'),
            $row->line('by', most: 80),
            array_map(
                static fn (Field $m): array => [
                    'id' => $m->string('id', most: 26),
                    'x' => $m->number('x', min: 0.0, max: 1.0),
                    'y' => $m->number('y', min: 0.0, max: 1.0),
                    'end' => $m->string('end', most: 12),
                    'takesBack' => $m->has('takesBack') ? $m->string('takesBack', most: 26) : null,
                    'at' => RecordColumns::time($m->string('at'), $m->pointer.'/at'),
                    'by' => $m->line('by', most: 80),
                ],
                $row->each('marks', self::MOST_MARKS),
            ),
        );
    }

    private static function by(Model $row): string
    {
        $from = $row->getAttribute('from_file');
        $user = $row->getRelationValue('user');

        return is_string($from) ? $from : ($user instanceof User ? $user->name : '');
    }
}
