<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\File;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Evidence;
use Unionbit\Core\Words\Message;

/** The conductors of a house as rows of a table, both ways: one row a conductor, free ends in words. */
final class ConductorSchedule
{
    public const COLUMNS = [
        'cable',
        'number',
        'colour',
        'stripe',
        'near',
        'far',
        'evidence',
        'splice',
        'condition',
        'loop_ohms',
        'note',
    ];

    /** @return list<array<string, string>> */
    public static function rows(Installation $house): array
    {
        $rows = [];
        foreach ($house->cables as $cable) {
            foreach ($cable->conductors as $c) {
                $rows[] = [
                    'cable' => $cable->id,
                    'number' => (string) $c->number,
                    'colour' => $c->colour->value,
                    'stripe' => $c->stripe->value ?? '',
                    'near' => self::end($c->near),
                    'far' => self::end($c->far),
                    'evidence' => $c->evidence->value,
                    'splice' => $c->colourAfterSplice->value ?? '',
                    'condition' => implode(' ', [
                        ...array_column($c->condition, 'value'),
                        ...array_map(static fn (int $n): string => "touch{$n}", $c->touches),
                    ]),
                    'loop_ohms' => $c->loopOhms === null ? '' : (string) $c->loopOhms,
                    'note' => $c->note,
                ];
            }
        }

        return $rows;
    }

    /**
     * The house with the conductors of these rows instead of its own.
     *
     * @param  list<array<string, string>>  $rows
     *
     * @throws InvalidData whose pointer is the row and column, "/3/colour"; rows count from 1 as in a table without
     *     its heading
     */
    public static function read(array $rows, Installation $house): Installation
    {
        $cables = array_map(static fn (Cable $cable): Cable => $cable->withConductors([]), $house->cables);
        $ids = array_map(static fn (Cable $cable): string => $cable->id, $cables);
        foreach ($rows as $index => $row) {
            $line = $index + 1;
            $at = array_search(trim($row['cable'] ?? ''), $ids, true);
            if ($at === false) {
                throw InvalidData::notAllowed(
                    "/{$line}/cable",
                    $row['cable'] ?? '',
                    Message::of('job.conductor-schedule.cables', ids: $ids),
                );
            }
            $conductor = self::conductor(Field::root(array_map(trim(...), $row), "/{$line}"));
            if ($cables[$at]->conductor($conductor->number) !== null) {
                throw InvalidData::notAllowed(
                    "/{$line}/number",
                    $conductor->number,
                    Message::of('job.conductor-schedule.number-no-other-conductor-cable'),
                );
            }
            $cables[$at] = $cables[$at]->withConductors([...$cables[$at]->conductors, $conductor]);
        }
        $changed = $house;
        foreach ($cables as $cable) {
            $changed = $changed->withCable($cable);
        }

        return $changed;
    }

    private static function conductor(Field $row): Conductor
    {
        $number = $row->string('number', '');
        if (! ctype_digit($number) || (int) $number < 1 || (int) $number > 50) {
            throw InvalidData::notAllowed(
                "{$row->pointer}/number",
                $number,
                Message::of('job.conductor-schedule.whole-number-from-1-50'),
            );
        }
        $colour = static function (string $key) use ($row): ?Colour {
            $word = $row->string($key, '');

            return $word === ''
                ? null
                : Colour::tryParse($word) ??
                        throw InvalidData::notAllowed(
                            "{$row->pointer}/{$key}",
                            $word,
                            implode(', ', Colour::names()),
                        );
        };
        $evidence = $row->string('evidence', '');
        $words = preg_split('/[\s,;]+/', $row->string('condition', ''), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $touches = [];
        foreach ($words as $at => $word) {
            if (preg_match('/^touch(\d{1,2})$/', $word, $found) === 1 && (int) $found[1] !== (int) $number) {
                $touches[] = (int) $found[1];
                unset($words[$at]);
            }
        }
        $ohms = str_replace(',', '.', $row->string('loop_ohms', ''));
        if ($ohms !== '' && (! is_numeric($ohms) || (float) $ohms < 0 || (float) $ohms > 999)) {
            throw InvalidData::notAllowed(
                "{$row->pointer}/loop_ohms",
                $ohms,
                Message::of('job.conductor-schedule.number-from-0-999-or'),
            );
        }

        return new Conductor(
            number: (int) $number,
            colour: $colour('colour') ??
                throw InvalidData::notAllowed("{$row->pointer}/colour", '', implode(', ', Colour::names())),
            near: self::read1($row, 'near'),
            far: self::read1($row, 'far'),
            evidence: $evidence === ''
                ? Evidence::Unknown
                : Evidence::tryFrom($evidence) ??
                    throw InvalidData::notAllowed(
                        "{$row->pointer}/evidence",
                        $evidence,
                        implode(', ', array_column(Evidence::cases(), 'value')),
                    ),
            stripe: $colour('stripe'),
            colourAfterSplice: $colour('splice'),
            note: $row->string('note', ''),
            condition: array_map(
                static fn (string $word): Condition => Condition::tryFrom($word) ??
                    throw InvalidData::notAllowed(
                        "{$row->pointer}/condition",
                        $word,
                        implode(', ', array_column(Condition::cases(), 'value')),
                    ),
                array_values($words),
            ),
            loopOhms: $ohms === '' ? null : (float) $ohms,
            touches: $touches,
        );
    }

    private static function read1(Field $row, string $key): End
    {
        $word = $row->string($key, '');
        if (mb_strlen($word) > 12) {
            throw InvalidData::notAllowed(
                "{$row->pointer}/{$key}",
                $word,
                Message::of('job.conductor-schedule.terminal-at-most-12-characters'),
            );
        }
        if (preg_match('/^(?:@|\(on )([A-Z]\d{1,2})\)?$/', $word, $splice) === 1) {
            return End::spliced($splice[1]);
        }
        if (preg_match('/^\((\w+)\)$/', $word, $free) === 1) {
            $state = EndState::tryFrom($free[1]);

            return $state === null || $state === EndState::Landed || $state === EndState::Spliced
                ? throw InvalidData::notAllowed(
                    "{$row->pointer}/{$key}",
                    $word,
                    Message::of('job.conductor-schedule.spare-capped-cut-or-broken'),
                )
                : End::free($state);
        }

        return $word === '' ? End::free() : End::landed($word);
    }

    private static function end(End $end): string
    {
        return $end->terminal ?? ($end->onto === null ? "({$end->state->value})" : "(on {$end->onto})");
    }
}
